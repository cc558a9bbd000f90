import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { IMPORT_LABELS } from '../../src/contract/reportFields';
import type { ImportKind, ReportKind } from '../../src/contract/reportFields';
import type { AccountRow } from '../../src/db/queries/accounts';
import { closeContext, db } from '../../src/server/context/context';
import { loadSums } from '../../src/server/sums/loadSums';
import { anAccount, exported, take } from './account';

afterAll(closeContext);

const AD = 'Impressions,Clicks,Spend,Orders,Units,Sales';
const FILES: Record<ReportKind, string> = {
  terms: `Date,Campaign ID,Campaign,Ad group ID,Ad group,Target ID,Target,Match type,Search term,${AD}
2026-10-05,C1,Weights,G1,auto,T1,near searches,auto,glass weights,120,6,3.10,1,1,18.90
2026-10-06,C1,Weights,G1,auto,T1,near searches,auto,-5 litre =crock,20,1,0.456789,0,0,0
`,
  targets: `Date,Campaign,Ad group,Target,Match type,${AD}
2026-10-05,Weights,research,jar weights,phrase,50,5,2.10,1,1,18.90
2026-10-05,Weights,items,Q7BC12D3F4,item,50,5,2.20,0,0,0
2026-10-05,Weights,items,Lids and weights,category,50,5,2.30,0,0,0
2026-10-06,Weights,research,jar weights,phrase,60,6,2.60,2,3,56.70
`,
  placements: `Date,Campaign,Placement,${AD}
2026-10-05,Weights,top of search,50,5,3.10,1,1,18.90
2026-10-05,Weights,product pages,70,2,0.60,0,0,0
`,
  hours: `Date,Hour,Campaign,${AD}
2026-10-05,0,Weights,50,5,3.10,1,1,18.90
2026-10-05,23,Weights,5,1,0.40,0,0,0
`,
  sales: `Date,Item code,Product,Orders,Units,Sales,Refunded units,Refunded sales
2026-10-05,Q7BC12D3F4,Crock,3,4,276.00,1,69.00
2026-10-06,Q7BC12D3F4,Crock,0,0,0,0,0
`,
  ranks: `Date,Item code,Search term,Organic rank,Search volume
2026-10-05,Q7BC12D3F4,stone crock,14,320
2026-10-06,Q7BC12D3F4,stone crock,12,320
`,
};

describe('every kind of report', () => {
  test.each(Object.keys(FILES) as ReportKind[])(
    '%s: what goes out comes in again unchanged, as CSV and as XLSX',
    async (kind) => {
      const account = await anAccount();
      const first = await take(account, kind, FILES[kind]);
      const rows = FILES[kind].trim().split('\n').length - 1;
      expect(first).toMatchObject({ state: 'done', kept: rows, refused: 0 });
      const csv = await exported(account, kind);
      expect(await take(account, kind, csv)).toMatchObject({
        state: 'done',
        kept: 0,
        unchanged: rows,
        refused: 0,
      });
      expect(await take(account, kind, await exported(account, kind, 'xlsx'))).toMatchObject({
        kept: 0,
        unchanged: rows,
        refused: 0,
      });
      const other = await anAccount();
      expect(await take(other, kind, csv)).toMatchObject({ kept: rows });
      expect((await exported(other, kind)).toString()).toBe(csv.toString());
    },
  );

  test('is told apart from another by its headings: what is missing is asked for', async () => {
    const account = await anAccount();
    expect(await take(account, 'placements', FILES.hours)).toMatchObject({
      state: 'needs-mapping',
      unmatched: ['placement'],
      kept: 0,
    });
  });

  test('of an account in another currency is refused row by row', async () => {
    const account = await anAccount('GBP');
    const file = FILES.sales
      .replaceAll(/$/gm, ',EUR')
      .replace('sales,EUR', 'sales,Currency')
      .replace(/\n,EUR$/, '\n');
    const result = await take(account, 'sales', file);
    expect(result).toMatchObject({ state: 'refused', kept: 0, refused: 2 });
    expect(result.lines[0].reason).toBe('The row is in EUR; the account is in GBP.');
  });

  test('of another account is told by its campaigns, and refused whole', async () => {
    const [mine, other] = [await anAccount(), await anAccount()];
    await db()`update mowing.account set name = 'Kites of a friend' where account_id = ${other.id}`;
    await take(mine, 'terms', FILES.terms);
    const theirs = FILES.terms.replaceAll('Weights', 'Kites – exact');
    await take(other, 'terms', theirs);
    const result = await take(mine, 'terms', theirs);
    expect(result).toMatchObject({ state: 'refused', kept: 0 });
    expect(result.message).toContain(
      'The file is one of another account: its campaign “Kites – exact” belongs there.',
    );
    // A campaign that was renamed is still this account's.
    expect(await take(mine, 'terms', FILES.terms.replaceAll('Weights', 'Glass'))).toMatchObject({
      unchanged: 2,
    });
  });

  test('that overlaps an earlier one changes what is different, and doubles nothing', async () => {
    const account = await anAccount();
    await take(account, 'targets', FILES.targets);
    const later = FILES.targets
      .replace('60,6,2.60,2,3,56.70', '60,6,2.60,3,4,75.60')
      .replace('2026-10-05,Weights,items,Q7', '2026-10-07,Weights,items,Q7');
    expect(await take(account, 'targets', later)).toMatchObject({ kept: 2, unchanged: 2 });
    const sums = await loadSums({
      account: account.id,
      grain: 'account',
      from: '2026-10-01',
      to: '2026-10-31',
    });
    expect(sums).toMatchObject({ rows: 5, orders: 4, sales: '94.50' });
  });
});

describe('sums', () => {
  let account: AccountRow;
  beforeAll(async () => {
    account = await anAccount();
    for (const kind of ['targets', 'placements', 'hours', 'sales'] as const)
      await take(account, kind, FILES[kind]);
  });
  const items = async (
    grain: 'target' | 'ad-group' | 'placement' | 'hour' | 'day' | 'account',
    over: object = {},
  ) =>
    (
      await loadSums({
        account: account.id,
        grain,
        from: '2026-10-06',
        to: '2026-10-06',
        compare: 'before',
        ...over,
      })
    ).items;

  test('come at every grain, with the window before beside them', async () => {
    expect(await items('ad-group')).toMatchObject([
      { adGroup: 'Weights › research', spend: '2.60', before: { spend: '2.10' } },
      { adGroup: 'Weights › items', spend: '0.00', before: { spend: '4.50' } },
    ]);
    expect(await items('placement', { from: '2026-10-05', to: '2026-10-05' })).toMatchObject([
      { placement: 'top of search', spend: '3.10' },
      { placement: 'product pages', spend: '0.60' },
    ]);
    expect(await items('hour', { from: '2026-10-05', to: '2026-10-05' })).toMatchObject([
      { hour: '0' },
      { hour: '23' },
    ]);
  });

  test('inside a scope hold that scope alone', async () => {
    const [{ campaignId }] = (
      await loadSums({ account: account.id, grain: 'campaign', from: '2026-10-05', to: '2026-10-06' })
    ).items as unknown as { campaignId: number }[];
    expect(await items('target', { scope: `campaign:${campaignId}`, from: '2026-10-05' })).toHaveLength(3);
    expect(await items('target', { scope: 'campaign:999999', from: '2026-10-05' })).toEqual([]);
  });

  test('know all sales beside those of ads, where the grain has them', async () => {
    expect(await items('account', { from: '2026-10-05', to: '2026-10-06' })).toMatchObject([
      { sales: '75.60', totalSales: '276.00' },
    ]);
  });
});

test('every kind that can be imported can be exported', async () => {
  const account = await anAccount();
  for (const kind of Object.keys(IMPORT_LABELS) as ImportKind[])
    expect((await exported(account, kind)).toString().trim().split('\n')).toHaveLength(1);
});
