import { afterAll, describe, expect, test } from 'vitest';
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
