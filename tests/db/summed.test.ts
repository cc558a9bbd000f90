import { afterAll, describe, expect, test } from 'vitest';
import { closeContext, db } from '../../src/server/context/context';
import { needAccount } from '../../src/server/accounts/accounts';
import { exportData } from '../../src/server/exports/exportData';
import { loadFieldSums } from '../../src/server/field/loadFieldSums';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { loadOverview } from '../../src/server/field/loadOverview';
import { removeSum } from '../../src/server/imports/summed';
import { THIS_MACHINE } from '../../src/server/trail';
import { anAccount, sumsOf, take } from './account';
import { told } from '../make/told';

afterAll(closeContext);

const HEADINGS =
  'Start date,End date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales';
const row = (from: string, to: string, term = 'big jar', clicks = 40) =>
  `${from},${to},Summed jars,exact,jar,broad,${term},900,${clicks},20.00,4,80.00`;
const file = (...rows: string[]) => `${[HEADINGS, ...rows].join('\n')}\n`;
const OCTOBER = ['2026-10-01', '2026-10-31'] as const;

describe('a report that is summed over a period', () => {
  test('is one window: it opens on it, is never cut, and is not drawn by day', async () => {
    const account = await anAccount();
    const result = await take(account, 'terms', file(row(...OCTOBER), row(...OCTOBER, 'small jar', 2)));
    expect(result).toMatchObject({ state: 'done', kept: 2, firstDay: '2026-10-01', lastDay: '2026-10-31' });
    expect(await needAccount(account.id)).toMatchObject({ firstDay: '2026-10-01', lastDay: '2026-10-31' });
    // A window of its second half would hold all of it, or nothing: it is widened instead.
    for (const ask of [
      {},
      { from: '2026-10-20', to: '2026-10-31' },
      { from: '2026-10-02', to: '2026-10-05' },
    ]) {
      const { window } = await loadOverview(account.id, ask);
      expect(window).toMatchObject({
        from: '2026-10-01',
        to: '2026-10-31',
        sums: [{ from: OCTOBER[0], to: OCTOBER[1] }],
      });
    }
    const field = told(await loadFieldSums({ account: account.id, grain: 'term' }));
    expect(field.columns.clicks.reduce((sum, one) => sum + one, 0)).toBe(42);
    expect(told(await loadBidFeed(account.id)).days.clicks).toEqual([42]);
  });

  test('counts no day twice, in whichever order the files come, until its sum is removed', async () => {
    const account = await anAccount();
    await take(account, 'terms', file(row(...OCTOBER)));
    expect(await take(account, 'terms', file(row(...OCTOBER)))).toMatchObject({ kept: 0, unchanged: 1 });
    const day = await take(account, 'terms', file(row('2026-10-07', '2026-10-07')));
    expect(day).toMatchObject({ state: 'refused', kept: 0 });
    expect(day.message).toContain('1 Oct 2026 to 31 Oct 2026 are here summed');
    expect((await take(account, 'terms', file(row('2026-10-15', '2026-11-02')))).state).toBe('refused');
    await removeSum(THIS_MACHINE, account.id, 'terms', '2026-10-01');
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
    expect((await needAccount(account.id)).lastDay).toBeNull();
    expect((await take(account, 'terms', file(row('2026-10-07', '2026-10-07')))).state).toBe('done');
    const sum = await take(account, 'terms', file(row(...OCTOBER)));
    expect(sum.message).toContain('7 Oct 2026 are here day by day');
    await expect(removeSum(THIS_MACHINE, account.id, 'terms', '2026-10-01')).rejects.toThrow('any more');
  });

  test('without any day is asked for its period, and leaves with it', async () => {
    const account = await anAccount();
    const bare = file(row(...OCTOBER)).replaceAll(/^[^,]*,[^,]*,/gm, '');
    const asked = await take(account, 'terms', bare);
    expect(asked.message).toContain('No column');
    expect(asked).toMatchObject({ state: 'needs-mapping', unmatched: ['day'] });
    expect(asked.message).toContain('sum over a period');
    const period = { from: OCTOBER[0], to: OCTOBER[1] };
    expect(await take(account, 'terms', bare, { period })).toMatchObject({ state: 'done', kept: 1 });
    const { body } = await exportData({ account: account.id, kind: 'terms', format: 'csv' });
    const text = await new Response(body as never).text();
    expect(text).toContain('Date,End date,');
    const other = await anAccount();
    await take(other, 'terms', text);
    expect(await sumsOf(other)).toEqual(await sumsOf(account));
    expect((await needAccount(other.id)).sums).toEqual([period]);
    const later = { period: { from: '2026-10-01', to: '2199-01-01' } };
    expect((await take(other, 'terms', bare, later)).message).toContain('has not come yet');
  });
});

describe('what a report by day says of bids and states', () => {
  const DAY =
    'Date,Campaign ID,Campaign,Campaign status,Budget,Ad group ID,Ad group,Target ID,Target,Match type,Max CPC,Status,Impressions,Clicks,Spend,Orders,Sales';
  const line = (day: string, cpc: string, status = 'paused') =>
    `${day},S1,Summed lids,enabled,25.00,S2,exact,S3,lid,broad,${cpc},${status},900,40,20.00,4,80.00`;
  const report = (...lines: string[]) => `${[DAY, ...lines].join('\n')}\n`;
  const target = async (id: number) => {
    const [one] = await db()`
      select t.bid_micros as bid, t.state, c.budget_micros as budget from mowing.target t
      join mowing.ad_group g using (account_id, ad_group_id) join mowing.campaign c using (account_id, campaign_id)
      where t.account_id = ${id}`;
    return one;
  };

  test('stands as its last day has it, whatever the order of its rows', async () => {
    const account = await anAccount();
    const result = await take(
      account,
      'targets',
      report(line('2026-10-02', '0.80'), line('2026-10-01', '0.50', 'enabled')),
    );
    expect(result.unread).toEqual([]);
    expect(await target(account.id)).toEqual({ bid: 800_000, state: 'paused', budget: 25_000_000 });
    const older = await take(account, 'targets', report(line('2026-09-01', '0.30')));
    expect(older.message).toContain('newer days are here');
    expect((await target(account.id))?.bid).toBe(800_000);
    // A word that is no state costs the row nothing else.
    expect(await take(account, 'targets', report(line('2026-10-03', '0.90', 'added')))).toMatchObject({
      kept: 1,
    });
    expect(await target(account.id)).toMatchObject({ bid: 900_000, state: 'paused' });
  });
});

describe('the headings of a file', () => {
  const long = Array.from(
    { length: 14 },
    (_, at) => `Note ${at},about,the,shop,and,its,year,of,sale,a,b,c`,
  ).join('\n');

  test('may stand anywhere among its first lines: the line that is pointed at is remembered', async () => {
    const account = await anAccount();
    const text = `${long}\n${file(row(...OCTOBER))}`;
    expect(await take(account, 'terms', text)).toMatchObject({ state: 'needs-mapping', headingLine: 1 });
    expect(await take(account, 'terms', text, { headingLine: 15 })).toMatchObject({
      state: 'done',
      kept: 1,
      headingLine: 15,
    });
    expect(await take(account, 'terms', text)).toMatchObject({
      state: 'done',
      unchanged: 1,
      headingLine: 15,
    });
    expect((await take(account, 'terms', file(row(...OCTOBER)), { headingLine: 9 })).message).toContain(
      '2 lines with text',
    );
  });

  test('that are not read are named, in lists and reports alike', async () => {
    const account = await anAccount();
    const more = file(row(...OCTOBER))
      .replace('Sales', 'Sales,Portfolio')
      .replace('80.00', '80.00,Home');
    const result = await take(account, 'terms', more);
    expect(result).toMatchObject({ state: 'done', unread: ['Portfolio'] });
    expect(result.message).toContain('Not read: “Portfolio”.');
    const costs = await take(account, 'costs', 'Item code,Price,Colour\nB01,20.00,red\n');
    expect(costs.message).toContain('Not read: “Colour”.');
  });
});
