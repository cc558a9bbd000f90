import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { connect } from '../../src/db/connection';
import type { Db } from '../../src/db/connection';
import { closeContext, db } from '../../src/server/context/context';
import { loadSums } from '../../src/server/sums/loadSums';
import type { AccountRow } from '../../src/db/queries/accounts';
import { anAccount, takeIn } from '../db/account';
import { aReport, aReportRow } from '../make/report';
import { aDatabase, aFolder, blockOf, filled, removeFolder, statementsOf } from './machines';

// A large account's search terms on a server of their own, by the statements of docs/operations.md.

const folder = aFolder('foreign');
let near: Awaited<ReturnType<typeof aDatabase>>;
let far: Awaited<ReturnType<typeof aDatabase>>;
let farSql: Db;
let large: AccountRow;
let small: AccountRow;

const rows = (days: number[], clicks: number) =>
  aReport({
    rows: days.map((day) =>
      aReportRow({
        day: `2026-${day > 31 ? 11 : 10}-${String(((day - 1) % 31) + 1).padStart(2, '0')}`,
        clicks,
      }),
    ),
  });
const clicksOf = async ({ id }: AccountRow) =>
  (await loadSums({ account: id, grain: 'account', from: '2026-10-01', to: '2026-11-30' })).clicks;

beforeAll(async () => {
  for (const name of ['near', 'far']) mkdirSync(path.join(folder, name), { mode: 0o755 });
  near = await aDatabase(path.join(folder, 'near'));
  far = await aDatabase(path.join(folder, 'far'));
  process.env.DATABASE_URL = near.url;
  farSql = connect(far.url, { max: 1 });
  [small, large] = [await anAccount(), await anAccount()];
});
afterAll(async () => {
  await closeContext();
  await farSql?.end();
  await near?.stop();
  await far?.stop();
  removeFolder(folder);
});

test('what lies on another server is summed, corrected by an import, and kept apart as before', async () => {
  const days = [1, 15, 31, 32, 40];
  for (const account of [small, large]) await takeIn(account, rows(days, 7));
  expect([await clicksOf(large), await clicksOf(small)]).toEqual([35, 35]);

  const { port, password } = new URL(far.url);
  const ofLarge = { _of_7: `_of_${large.id}` };
  const place = filled(blockOf('sql', 'create table mowing.term_day_2026_10_of_7'), {
    ...ofLarge,
    'account_id = 7': `account_id = ${large.id}`,
  });
  for (const statement of statementsOf(place)) await farSql.unsafe(statement);
  const moved = filled(blockOf('sql', 'create extension if not exists postgres_fdw'), {
    ...ofLarge,
    '10.0.0.6': '127.0.0.1',
    "'5432'": `'${port}'`,
    SECRET: password,
    'in (7)': `in (${large.id})`,
    'account_id = 7': `account_id = ${large.id}`,
  });
  const one = connect(near.url, { max: 1 });
  for (const statement of statementsOf(moved)) await one.unsafe(statement);
  await one.end();

  const there = async () => {
    const [{ count, clicks }] = await farSql<{ count: number; clicks: number }[]>`
      select count(*)::integer as count, sum(clicks)::integer as clicks
      from mowing.${farSql(`term_day_2026_10_of_${large.id}`)}`;
    return [count, clicks];
  };
  expect(await there()).toEqual([3, 21]);
  expect([await clicksOf(large), await clicksOf(small)]).toEqual([35, 35]);

  await takeIn(large, rows([15, 16], 9));
  expect(await there()).toEqual([4, 32]);
  expect([await clicksOf(large), await clicksOf(small)]).toEqual([46, 35]);
  const [{ near: left }] = await db()<{ near: number }[]>`
    select count(*)::integer as near from mowing.term_day_2026_10_rest where account_id = ${large.id}`;
  expect(left).toBe(0);
});
