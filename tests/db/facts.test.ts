import { afterAll, describe, expect, test } from 'vitest';
import { FACTS, REPORT_KINDS } from '../../src/contract/facts';
import type { ReportKind } from '../../src/contract/facts';
import { closeContext, db } from '../../src/server/context/context';
import { exportData } from '../../src/server/exports/exportData';
import { deleteAccount } from '../../src/db/queries/accounts';
import { anAccount, take } from './account';

afterAll(closeContext);

/** Each figure of a row another number: a pair that is swapped anywhere on the way in or out is seen. */
const AD = { Impressions: 900, Clicks: 70, Spend: '5.10', Orders: 3, Units: 4, Sales: '60.20' };
const AD_KEPT = {
  impressions: 900,
  clicks: 70,
  spend_micros: 5_100_000,
  orders: 3,
  units: 4,
  sales_micros: 60_200_000,
};
const TARGET = { 'Campaign ID': 'C1', Campaign: 'Jars', 'Ad group ID': 'G1', 'Ad group': 'exact' };
const CASES: Record<ReportKind, { row: Record<string, string | number>; kept: Record<string, number> }> = {
  terms: {
    row: {
      ...TARGET,
      'Target ID': 'T1',
      Target: 'jar',
      'Match type': 'exact',
      'Search term': 'big jar',
      ...AD,
    },
    kept: AD_KEPT,
  },
  targets: {
    row: { ...TARGET, 'Target ID': 'T1', Target: 'jar', 'Match type': 'exact', ...AD },
    kept: AD_KEPT,
  },
  placements: {
    row: { 'Campaign ID': 'C1', Campaign: 'Jars', Placement: 'product pages', ...AD },
    kept: { placement: 2, ...AD_KEPT },
  },
  hours: { row: { 'Campaign ID': 'C1', Campaign: 'Jars', Hour: 17, ...AD }, kept: { hour: 17, ...AD_KEPT } },
  sales: {
    row: {
      'Item code': 'B0JAR00001',
      Product: 'Jar',
      Orders: 11,
      Units: 13,
      Sales: '260.00',
      'Refunded units': 2,
      'Refunded sales': '40.00',
    },
    kept: {
      orders: 11,
      units: 13,
      sales_micros: 260_000_000,
      refunded_units: 2,
      refunded_micros: 40_000_000,
    },
  },
  ranks: {
    row: {
      'Item code': 'B0JAR00001',
      Product: 'Jar',
      'Search term': 'big jar',
      'Organic rank': 17,
      'Searches a week': 2300,
    },
    kept: { organic_rank: 17, weekly_searches: 2300 },
  },
};

describe('every kind of report', () => {
  test.each(REPORT_KINDS)(
    'of %s keeps each figure in its own column, and gives it out again',
    async (kind) => {
      const account = await anAccount();
      const row = { Date: '2026-10-05', ...CASES[kind].row };
      const csv = [Object.keys(row), Object.values(row)].map((cells) => cells.join(',')).join('\n');
      expect(await take(account, kind, `${csv}\n`)).toMatchObject({ state: 'done', kept: 1 });
      const [kept] = await db()`
      select * from mowing.${db().unsafe(FACTS[kind].table)} where account_id = ${account.id}`;
      expect(kept).toMatchObject(CASES[kind].kept);
      const { body } = await exportData({ account: account.id, kind, format: 'csv' });
      let text = '';
      for await (const part of body) text += new TextDecoder().decode(part as Uint8Array);
      const [headings, values] = text
        .trim()
        .split('\n')
        .map((line) => line.split(','));
      const out = Object.fromEntries(headings.map((heading, at) => [heading, values[at]]));
      for (const [heading, value] of Object.entries(CASES[kind].row))
        expect([heading, Number(out[heading]) || out[heading]]).toEqual([heading, Number(value) || value]);
    },
  );
});

test('deleting an account leaves nothing of it in any table', async () => {
  const account = await anAccount();
  for (const kind of REPORT_KINDS) {
    const row = { Date: '2026-10-05', ...CASES[kind].row };
    await take(account, kind, `${Object.keys(row).join(',')}\n${Object.values(row).join(',')}\n`);
  }
  await deleteAccount(db(), account.id);
  const tables = await db()<{ name: string }[]>`
    select c.table_name as name from information_schema.columns c
    join information_schema.tables t using (table_schema, table_name)
    where c.table_schema = 'mowing' and c.column_name = 'account_id' and t.table_type = 'BASE TABLE'`;
  expect(tables.length).toBeGreaterThan(35);
  const left: string[] = [];
  for (const { name } of tables) {
    const rows =
      await db()`select 1 from mowing.${db().unsafe(name)} where account_id = ${account.id} limit 1`;
    if (rows.length > 0) left.push(name);
  }
  expect(left).toEqual([]);
  // Tables without a foreign key on the account are emptied by name: each of them has to be told to.
  const [{ body }] = await db()<{ body: string }[]>`
    select pg_get_functiondef('mowing.delete_account'::regproc) as body`;
  for (const { table } of Object.values(FACTS)) expect(body).toContain(`mowing.${table} `);
});
