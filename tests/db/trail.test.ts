import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { closeContext, db, reading } from '../../src/server/context/context';
import { changeAccount, createAccount, needAccount } from '../../src/server/accounts/accounts';
import { putAside } from '../../src/server/aside/aside';
import { loadTrail } from '../../src/server/audit/loadTrail';
import { removeGoal, setGoal } from '../../src/server/economics/goals';
import { setCosts } from '../../src/server/economics/products';
import { setMonthGoal } from '../../src/server/field/loadOverview';
import { addNote, removeNote } from '../../src/server/field/notes';
import { keepSwath, removeSwath } from '../../src/server/field/swaths';
import { changeChoices, loadChoices, takeBackChoices } from '../../src/server/plans/choices';
import { keepRoutes } from '../../src/server/routes/routes';
import { RIGHTS } from '../../src/contract/people';
import { editValues } from '../../src/server/changes/editStaged';
import { stageChanges, withdraw } from '../../src/server/changes/stageChanges';
import { noteExport } from '../../src/server/trail';
import type { Caller } from '../../src/server/trail';
import { pinCoreTerm, unpinCoreTerm } from '../../src/server/words/coreTerms';
import { keepNegativeList, removeNegativeList } from '../../src/server/words/negativeLists';
import { keepWordLists } from '../../src/server/words/wordLists';
import { anAccount, take } from './account';

const ADA: Caller = { name: 'Ada', rights: RIGHTS };
const BEN: Caller = { name: 'Ben', rights: RIGHTS };

let account: number;
let product: number;

beforeAll(async () => {
  const row = await anAccount();
  account = row.id;
  await take(
    row,
    'sales',
    'Date,Item code,Product,Orders,Units,Sales\n2026-10-05,Q7BC12D3F4,Crock,3,4,275.60\n',
  );
  [{ product }] = await db()<{ product: number }[]>`
    select product_id as product from mowing.product where account_id = ${account}`;
});
afterAll(closeContext);

const newest = async () => (await loadTrail(account)).lines[0];
const countOf = async () => (await loadTrail(account)).lines.length;
/** Who stands on the rows of a table of this account. */
const callersOn = async (table: string) =>
  (
    await db()<{ by: string }[]>`
    select by_caller as by from ${db()(`mowing.${table}`)} where account_id = ${account} order by 1`
  ).map(({ by }) => by);

const NO_COSTS = { price: null, goods: null, fees: null, shipping: null, refundRate: null, recovered: null };
const goal = (low: number) => ({
  scope: 'product' as const,
  scopeId: product,
  kind: 'acos' as const,
  low,
  high: low,
});
const LIST = {
  id: null,
  name: 'never',
  terms: [{ match: 'phrase' as const, expression: 'used' }],
  campaignIds: [],
};

describe('whatever is decided leaves a line: who, what, from what, to what', () => {
  test.each<[string, (by: Caller) => Promise<unknown>, object]>([
    ['a target', (by) => setGoal(by, account, goal(0.2)), { what: 'set target', to: { low: 0.2 } }],
    ['another target', (by) => setGoal(by, account, goal(0.3)), { from: { low: 0.2 }, to: { low: 0.3 } }],
    [
      'no target',
      (by) => removeGoal(by, account, 'product', product),
      { what: 'remove target', from: { low: 0.3 } },
    ],
    [
      'costs',
      (by) => setCosts(by, account, product, { ...NO_COSTS, price: 20_000_000 }),
      { what: 'set costs', from: { price: null }, to: { price: 20_000_000 } },
    ],
    [
      'a month’s goal',
      (by) => setMonthGoal(by, account, { month: '2026-11-01', sales: 5_000_000, spend: null }),
      { what: 'set month goal', subject: '2026-11-01', from: null },
    ],
    [
      'what is put aside',
      (by) => putAside(by, { account, queue: 'bids', subjects: ['target 1'], verdict: 'later' }),
      { what: 'put aside: later', subject: 'bids', to: { subjects: ['target 1'] } },
    ],
    [
      'what is taken back',
      (by) => putAside(by, { account, queue: 'bids', subjects: ['target 1'], verdict: 'back' }),
      { what: 'take back', subject: 'bids' },
    ],
    [
      'brands and words',
      (by) => keepWordLists(by, account, { own: ['crockly'], rival: [], unwanted: [] }),
      { what: 'keep brands and words', from: { own: [] }, to: { own: ['crockly'] } },
    ],
    [
      'a pinned term',
      (by) => pinCoreTerm(by, { account, productId: product, term: 'crock' }),
      { what: 'pin term', subject: expect.stringMatching(/^product \d+$/), to: 'crock' },
    ],
    [
      'an unpinned term',
      (by) => unpinCoreTerm(by, { account, productId: product, term: 'crock' }),
      { what: 'unpin term', from: 'crock' },
    ],
    ['routes', (by) => keepRoutes(by, account, []), { what: 'keep routes', from: [], to: [] }],
    [
      'the account’s name and zone',
      (by) => changeAccount(by, account, { name: 'Crocks', timezone: 'Europe/Lisbon' }),
      { what: 'change account', from: { name: 'Test' }, to: { name: 'Crocks', timezone: 'Europe/Lisbon' } },
    ],
  ])('%s', async (_, does, line) => {
    const before = await countOf();
    await does(ADA);
    expect(await countOf()).toBe(before + 1);
    expect(await newest()).toMatchObject({ by: 'Ada', ...line });
  });

  test('notes, swaths and lists, also when they go', async () => {
    const { id: note } = await addNote(ADA, account, 'campaign 1', 'Wait for the new pictures.');
    expect(await newest()).toMatchObject({ what: 'write note', to: 'Wait for the new pictures.' });
    await removeNote(BEN, account, note);
    expect(await newest()).toMatchObject({ by: 'Ben', what: 'remove note', subject: `note ${note}` });
    const swath = await keepSwath(ADA, account, {
      name: 's',
      lens: 'terms',
      conditions: [],
      sort: '',
      from: null,
      to: null,
    });
    await removeSwath(BEN, account, swath.id);
    expect(await newest()).toMatchObject({ by: 'Ben', what: 'remove swath', subject: `swath ${swath.id}` });
    const { id: list } = await keepNegativeList(ADA, { account, list: LIST });
    expect(await callersOn('negative_list')).toEqual(['Ada']);
    await keepNegativeList(BEN, { account, list: { ...LIST, id: list, name: 'never ever' } });
    expect(await newest()).toMatchObject({ by: 'Ben', from: { name: 'never' }, to: { name: 'never ever' } });
    expect(await callersOn('negative_list')).toEqual(['Ben']);
    await removeNegativeList(ADA, account, list);
    expect(await newest()).toMatchObject({ what: 'remove list', from: { name: 'never ever' } });
  });

  test('a new account begins its own trail with its making', async () => {
    const { id } = await createAccount(BEN, {
      name: 'New',
      currency: 'SEK',
      targetAcos: 0.2,
      timezone: 'Asia/Tokyo',
    });
    expect((await loadTrail(id)).lines).toMatchObject([
      { by: 'Ben', what: 'make account', to: { currency: 'SEK', timezone: 'Asia/Tokyo' } },
    ]);
  });
});

describe('who decided last stands on what was decided', () => {
  test('not who decided first', async () => {
    await setGoal(ADA, account, goal(0.2));
    await setGoal(BEN, account, goal(0.25));
    expect(await callersOn('goal')).toEqual(['Ben']);
    expect(await newest()).toMatchObject({ subject: `product ${product}`, name: 'Crock' });
    expect((await loadTrail(account, { find: 'crock' })).lines[0]).toMatchObject({ by: 'Ben' });
    await setMonthGoal(BEN, account, { month: '2026-11-01', sales: 1, spend: null });
    expect(await callersOn('month_goal')).toEqual(['Ben']);
  });

  test('and is this machine where nobody is named', async () => {
    const [{ by }] = await db()<{ by: string }[]>`select mowing.caller() as by`;
    expect(by).toBe('this machine');
  });
});

describe('what is refused leaves nothing', () => {
  test.each<[string, () => Promise<unknown>]>([
    [
      'a target on a product that there is not',
      () => setGoal(ADA, account, { ...goal(0.2), scopeId: 999_999 }),
    ],
    ['a note that is gone', () => removeNote(ADA, account, 999_999)],
    ['a term without a word', () => pinCoreTerm(ADA, { account, productId: product, term: '!!' })],
    [
      'a day that has passed',
      () =>
        putAside(ADA, {
          account,
          queue: 'bids',
          subjects: ['target 1'],
          verdict: 'left',
          until: '2020-01-01',
        }),
    ],
    ['a floor above its cap', () => changeChoices(ADA, { account, bids: { floor: 900_000, cap: 100_000 } })],
    ['costs of a product that there is not', () => setCosts(ADA, account, 999_999, NO_COSTS)],
  ])('%s', async (_, does) => {
    const before = await countOf();
    await expect(does()).rejects.toThrow();
    expect(await countOf()).toBe(before);
  });

  test('nor an account whose currency there is not', async () => {
    const [{ count }] = await db()<{ count: number }[]>`select count(*)::int as count from mowing.account`;
    await expect(createAccount(ADA, { name: 'X', currency: 'QQQ', targetAcos: 0.2 })).rejects.toThrow(
      'no currency',
    );
    expect(await db()`select count(*)::int as count from mowing.account`).toMatchObject([{ count }]);
  });
});

describe('the choices of an account', () => {
  test('are changed one by one, and taken back one by one to what they were at first', async () => {
    const first = await loadChoices(account);
    expect(first.canTakeBack).toBe(false);
    const once = await changeChoices(ADA, { account, terms: { minOrders: 4 } });
    const twice = await changeChoices(BEN, { account, bids: { cap: 1_500_000 }, terms: { maxAcos: 0.3 } });
    expect(twice.choices.terms).toMatchObject({ minOrders: 4, maxAcos: 0.3 });
    expect(await newest()).toMatchObject({
      by: 'Ben',
      what: 'change choices',
      from: { terms: { maxAcos: null } },
    });
    expect(await takeBackChoices(ADA, account)).toEqual(once);
    expect(await takeBackChoices(ADA, account)).toEqual(first);
    await expect(takeBackChoices(ADA, account)).rejects.toThrow('nothing to take back');
  });

  test('do not make figures older: no page is told of newer data', async () => {
    const { revision } = await needAccount(account);
    await changeChoices(ADA, { account, terms: { minOrders: 3 } });
    expect((await needAccount(account)).revision).toBe(revision);
  });

  test('while a report that comes in does', async () => {
    const row = await needAccount(account);
    await take(
      row,
      'sales',
      'Date,Item code,Product,Orders,Units,Sales\n2026-10-06,Q7BC12D3F4,Crock,1,1,68.90\n',
    );
    expect((await needAccount(account)).revision).toBeGreaterThan(row.revision);
  });
});

test('whoever takes a file out stands in the trail, although a reading writes nothing itself', async () => {
  const signal = new AbortController().signal;
  await expect(
    reading(signal, () => db()`update mowing.account set name = 'x' where account_id = ${account}`),
  ).rejects.toThrow('read-only');
  const of = { what: 'terms', format: 'csv', from: '2026-10-01', to: '2026-10-31' };
  await reading(signal, () => noteExport(BEN, account, of));
  expect(await newest()).toMatchObject({
    by: 'Ben',
    what: 'export',
    subject: 'terms',
    to: { format: 'csv', from: '2026-10-01', to: '2026-10-31' },
  });
});

test('staged changes are told as what they are, not by their numbers', async () => {
  const row = await anAccount();
  await take(
    row,
    'terms',
    'Date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales\n2026-10-05,Crocks,all,jar,exact,jar,100,10,2.50,1,20.00\n',
  );
  const [{ target }] = await db()<{ target: number }[]>`
    select target_id as target from mowing.target where account_id = ${row.id}`;
  const change = { kind: 'set-bid', targetId: target, from: 400_000, to: 310_000 } as const;
  const [id] = await stageChanges(ADA, row.id, [
    { change, reason: 'dear', figures: {}, effect: { spend: 0, sales: 0 } },
  ]);
  const told = { count: 1, words: [expect.stringMatching(/bid 0\.40 → 0\.31.*, Crocks$/)] };
  expect((await loadTrail(row.id)).lines[0]).toMatchObject({ by: 'Ada', what: 'stage', changes: told });
  await editValues(BEN, row.id, [{ id: id!, value: 290_000 }]);
  expect((await loadTrail(row.id)).lines[0]).toMatchObject({
    what: 'edit staged',
    changes: { count: 1, words: [expect.stringMatching(/^0\.31 → 0\.29.*, Crocks$/)] },
  });
  await editValues(BEN, row.id, [{ id: id!, value: 310_000 }]);
  await withdraw(BEN, row.id, [id!]);
  const [line] = (await loadTrail(row.id)).lines;
  expect(line).toMatchObject({ by: 'Ben', what: 'take out of the tray', changes: told });
});
