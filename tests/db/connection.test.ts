import net from 'node:net';
import { afterAll, describe, expect, test } from 'vitest';
import { connect, databaseUrl } from '../../src/db/connection';
import { migrate } from '../../src/db/migrate';
import { closeContext, db } from '../../src/server/context/context';

afterAll(closeContext);

describe('what the database says is read as it is', () => {
  test('days as texts, whatever the time zone; sums of whole numbers as exact numbers', async () => {
    const [row] = await db()`
      select date '2026-03-29' as day, 9007199254740991::bigint as micros, sum(x) as total, array_agg(x) as list
      from unnest(array[1, 2]::bigint[]) x`;
    expect(row).toEqual({ day: '2026-03-29', micros: 9007199254740991, total: 3, list: [1, 2] });
  });

  test('a number too large to be exact is an error, not a rounded figure', async () => {
    await expect(db()`select 9007199254740993::bigint as micros`).rejects.toThrow('too large to be exact');
  });
});

describe('a pool', () => {
  test('whose every connection was refused works again as soon as the database is back', async () => {
    const real = new URL(databaseUrl());
    const gate = net.createServer((caller) => {
      const server = net.connect(Number(real.port), real.hostname);
      caller.pipe(server).pipe(caller);
      caller.on('error', () => server.destroy());
      server.on('error', () => caller.destroy());
    });
    const listen = (port: number) =>
      new Promise<number>((resolve) =>
        gate.listen(port, '127.0.0.1', () => resolve((gate.address() as net.AddressInfo).port)),
      );
    const port = await listen(0);
    await new Promise((resolve) => gate.close(resolve));
    const behindGate = new URL(real);
    behindGate.port = String(port);
    const pool = connect(behindGate.href, { max: 2 });
    for (let tries = 0; tries < 5; tries += 1) await expect(pool`select 1`).rejects.toThrow('ECONNREFUSED');
    await listen(port);
    expect(await pool`select 1 as answer`).toEqual([{ answer: 1 }]);
    await pool.end();
    gate.close();
  });
});

describe('migrations', () => {
  test('run once', async () => {
    expect(await migrate(db(), 'mowing', 'src/db/migrations')).toEqual([]);
  });

  test('refuse a database that a newer version made', async () => {
    await db()`create schema if not exists newer`;
    await db()`create table if not exists newer.migration (name text primary key)`;
    await db()`insert into newer.migration values ('999_future.sql') on conflict do nothing`;
    await expect(migrate(db(), 'newer', 'src/db/migrations')).rejects.toThrow('999_future.sql');
    await db()`drop schema newer cascade`;
  });
});

test('a query that ends among its rows leaves nothing of it to the next one on the connection', async () => {
  const sql = connect(databaseUrl(), { max: 1 });
  const broken = sql`select 1 / (5000 - g) as one from generate_series(1, 9000) g`;
  await expect(broken).rejects.toThrow('division by zero');
  const rows = await sql<{ one: number }[]>`select 1 as one union all select 2`;
  expect(rows.map(({ one }) => one)).toEqual([1, 2]);
  expect([rows.length, rows[0].one]).toEqual([2, 1]);
  await sql.end();
});
