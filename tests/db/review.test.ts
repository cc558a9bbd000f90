import { ANYBODY } from '../../src/server/people/visitor';
import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { Db } from '../../src/db/connection';
import type { AccountRow } from '../../src/db/queries/accounts';
import { insertImport, refuseAbandonedImports, findImport, touchImport } from '../../src/db/queries/imports';
import { changeAccount, createAccount, loadAccounts } from '../../src/server/accounts/accounts';
import { closeContext, db, programNo } from '../../src/server/context/context';
import { loadReview as loadText } from '../../src/server/review/loadReview';
import { loadTermDays } from '../../src/server/review/loadTermDays';
import { termSubject } from '../../src/contract/aside';
import type { AsideRequest } from '../../src/contract/aside';
import { loadAside, putAside } from '../../src/server/aside/aside';
import { loadSums } from '../../src/server/sums/loadSums';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';
import { told } from '../make/told';

let account: AccountRow;

const loadReview = async (...at: Parameters<typeof loadText>) => told(await loadText(...at));

/** A market's present day for an account that has no market: so that its days are what the test says. */
const setMarketDay = (sql: Db, id: number, day: string) =>
  sql`update mowing.account set market_day = ${day} where account_id = ${id}`;

/** Two terms in two ad groups on three days, the last of which is unsettled. */
beforeAll(async () => {
  account = await anAccount();
  await setMarketDay(db(), account.id, '2026-11-23');
  const rows = ['2026-10-30', '2026-11-19', '2026-11-21'].flatMap((day) => [
    aReportRow({ day, term: 'jar', clicks: 5, spend: '2.50', orders: 1, sales: '20.00' }),
    aReportRow({
      day,
      term: 'jar',
      targetId: 'T2',
      target: 'wide searches',
      clicks: 1,
      spend: '0.40',
      orders: 0,
      sales: 0,
    }),
    aReportRow({
      day,
      term: 'crock',
      campaignId: 'C2',
      campaign: 'Crocks',
      adGroupId: 'G2',
      adGroup: 'broad',
      targetId: 'T3',
      target: 'crock',
      match: 'broad',
      clicks: 8,
      spend: '4.00',
      orders: 0,
      sales: 0,
    }),
  ]);
  await takeIn({ ...account, marketDay: '2026-11-23' }, aReport({ rows }));
});
afterAll(closeContext);

describe('a review', () => {
  test('covers thirty settled days, and names what it leaves out', async () => {
    const { window } = await loadReview(account.id);
    expect(window).toEqual({
      from: '2026-10-21',
      to: '2026-11-19',
      unsettled: ['2026-11-20', '2026-11-21'],
      sums: [],
    });
  });

  test('has one row for each term in each ad group, with the target that brought most clicks', async () => {
    const { rows, structure } = await loadReview(account.id);
    expect(rows.term).toEqual(['crock', 'jar']);
    expect(rows.clicks).toEqual([16, 12]);
    expect(rows.spend).toEqual([8_000_000, 5_800_000]);
    expect(rows.orders).toEqual([0, 2]);
    expect(rows.targetCount).toEqual([1, 2]);
    expect(structure.targets.find(({ id }) => id === rows.targetId[1])?.expression).toBe('near searches');
    expect(structure.targets.find(({ expression }) => expression === 'crock')).toMatchObject({
      kind: 'keyword',
      match: 'broad',
    });
  });

  test('of other days holds these alone', async () => {
    const { rows } = await loadReview(account.id, '2026-11-21', '2026-11-21');
    expect(rows.clicks).toEqual([8, 6]);
    await expect(loadReview(account.id, '2026-11-21', '2026-11-20')).rejects.toThrow(
      'ends (2026-11-20) before it begins',
    );
  });

  test('tells a term day by day', async () => {
    const { rows } = await loadReview(account.id);
    const { days } = await loadTermDays({
      accountId: account.id,
      adGroupId: rows.adGroupId[1],
      termId: rows.termId[1],
      from: '2026-11-01',
      to: '2026-11-30',
    });
    expect(days.map(({ day, clicks, spend }) => [day, clicks, spend])).toEqual([
      ['2026-11-19', 6, 2_900_000],
      ['2026-11-21', 6, 2_900_000],
    ]);
  });

  test('of an account without data is empty and has a window anyway', async () => {
    const { rows, window } = await loadReview((await anAccount()).id);
    expect(rows.term).toEqual([]);
    expect(window.from < window.to).toBe(true);
  });
});

describe('putting aside', () => {
  test('lasts a month or a week, by the account’s own day, and ends when taken back', async () => {
    const subjects = [termSubject(1, 1)];
    const put = (queue: string, verdict: AsideRequest['verdict']) =>
      putAside(THIS_MACHINE, { account: account.id, queue, subjects, verdict });
    const queues = async () => (await loadAside(account.id)).aside;
    await put('harvest', 'left');
    await put('negatives', 'later');
    expect(await queues()).toMatchObject([
      { queue: 'harvest', subject: 'ad-group-term 1 1', verdict: 'left', until: '2026-12-23' },
      { queue: 'negatives', subject: 'ad-group-term 1 1', verdict: 'later', until: '2026-11-30' },
    ]);
    await setMarketDay(db(), account.id, '2026-11-30');
    expect((await queues()).map(({ queue }) => queue)).toEqual(['harvest']);
    await put('harvest', 'back');
    expect(await queues()).toEqual([]);
    await setMarketDay(db(), account.id, '2026-11-23');
  });
});

describe('sums', () => {
  const sums = (grain: 'account' | 'campaign' | 'term', from = '2026-10-01', to = '2026-11-30') =>
    loadSums({ account: account.id, grain, from, to });

  test('of the parts are those of the whole, at every grain', async () => {
    const whole = { rows: 9, clicks: 42, spend: '20.70', orders: 3, sales: '60.00' };
    for (const grain of ['account', 'campaign', 'term'] as const)
      expect(await sums(grain)).toMatchObject(whole);
  });

  test('name their parts, the costliest first', async () => {
    expect((await sums('campaign')).items).toMatchObject([
      { campaign: 'Crocks', spend: '12.00' },
      { campaign: 'Glass weights – auto', spend: '8.70' },
    ]);
    expect((await sums('term')).items).toMatchObject([{ term: 'crock' }, { term: 'jar' }]);
  });

  test('of days without data are zero', async () => {
    expect(await sums('term', '2025-01-01', '2025-01-31')).toMatchObject({
      rows: 0,
      clicks: 0,
      spend: '0.00',
      items: [],
    });
  });

  test('of money beyond what a number holds are exact', async () => {
    const rich = await anAccount();
    await takeIn(
      rich,
      aReport({
        rows: [1, 2, 3].map((day) => aReportRow({ day: `2026-10-0${day}`, sales: '999999999.999999' })),
      }),
    );
    await db()`update mowing.term_day set sales_micros = 9007199254740991 where account_id = ${rich.id}`;
    expect(
      (await loadSums({ account: rich.id, grain: 'campaign', from: '2026-10-01', to: '2026-10-31' })).sales,
    ).toBe('27021597764.222973');
  });
});

describe('accounts', () => {
  test('are made empty, changed, and told with their days', async () => {
    const made = await createAccount(THIS_MACHINE, { name: 'Second shop', currency: 'GBP', targetAcos: 0.3 });
    expect(made).toMatchObject({ currency: 'GBP', connected: false, firstDay: null });
    expect(await changeAccount(THIS_MACHINE, made.id, { targetAcos: 0.2 })).toMatchObject({
      name: 'Second shop',
      targetAcos: 0.2,
    });
    expect((await loadAccounts(ANYBODY.rightsOn)).find(({ id }) => id === account.id)).toMatchObject({
      firstDay: '2026-10-30',
      lastDay: '2026-11-21',
      today: '2026-11-23',
    });
    await expect(
      createAccount(THIS_MACHINE, { name: 'Kite shop', currency: 'JPY', targetAcos: 0.3 }),
    ).resolves.toMatchObject({ limits: { bidStep: 1_000_000 } });
    await expect(
      createAccount(THIS_MACHINE, { name: 'x', currency: 'QQQ', targetAcos: 0.3 }),
    ).rejects.toThrow('“QQQ” is no currency');
    await expect(changeAccount(THIS_MACHINE, 987_654_321, { name: 'x' })).rejects.toMatchObject({
      code: 'not-found',
    });
  });

  test('are removed with everything that is theirs, and nothing that is not', async () => {
    const gone = await anAccount();
    await takeIn(gone, aReport());
    await db()`select mowing.delete_account(${gone.id})`;
    for (const table of ['account', 'campaign', 'target', 'term', 'term_day', 'import']) {
      const [{ n }] =
        await db()`select count(*) as n from mowing.${db().unsafe(table)} where account_id = ${gone.id}`;
      expect([table, n]).toEqual([table, 0]);
    }
    expect(
      await loadSums({ account: account.id, grain: 'account', from: '2026-10-01', to: '2026-11-30' }),
    ).toMatchObject({ rows: 9 });
  });
});

test('an import that its process left unfinished is told as cut off, a running one is left alone', async () => {
  const own = await programNo();
  const ended = 2_147_483_647;
  const start = (program: number) =>
    insertImport(
      db(),
      { kind: 'terms', accountId: account.id, fileName: 'half.csv', bytesTotal: null },
      program,
    );
  const [left, running, writing, killed] = [
    await start(own),
    await start(own),
    await start(own),
    await start(ended),
  ];
  await touchImport(db(), writing, { state: 'writing', bytesRead: 1, read: 1 });
  await db()`update mowing.import set touched_at = now() - interval '5 minutes' where import_id in (${left}, ${writing})`;
  await refuseAbandonedImports(db());
  for (const cutOff of [left, killed])
    expect(await findImport(db(), cutOff)).toMatchObject({
      state: 'refused',
      message: expect.stringContaining('Import the file again'),
    });
  expect(await findImport(db(), running)).toMatchObject({ state: 'reading' });
  expect(await findImport(db(), writing)).toMatchObject({ state: 'writing' });
});
