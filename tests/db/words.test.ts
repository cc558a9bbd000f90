import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { Route } from '../../src/core/routes';
import { dayFromNumber } from '../../src/core/units';
import type { AccountRow } from '../../src/db/queries/accounts';
import { listAdGroups } from '../../src/db/queries/structure';
import { closeContext, db } from '../../src/server/context/context';
import { loadReview } from '../../src/server/review/loadReview';
import { keepRoutes, loadRoutes } from '../../src/server/routes/routes';
import { loadTree } from '../../src/server/field/loadTree';
import { keepWordLists, loadWordLists } from '../../src/server/words/wordLists';
import { loadPinned, pinCoreTerm, unpinCoreTerm } from '../../src/server/words/coreTerms';
import { aReport, aReportRow } from '../make/report';
import { aRoute } from '../make/terms';
import { anAccount, takeIn } from './account';
import { told } from '../make/told';

let account: AccountRow;
let auto: number;
let exact: number;
let product: number;

/** One automatic ad group and one of exact keywords, both of one product. */
beforeAll(async () => {
  account = await anAccount();
  const home = { campaignId: 'C2', campaign: 'Weights – exact', adGroupId: 'G2', adGroup: 'exact' };
  await takeIn(
    account,
    aReport({
      rows: [aReportRow(), aReportRow({ ...home, targetId: 'T2', target: 'glass weights', match: 'exact' })],
    }),
  );
  [{ id: product }] = await db()<{ id: number }[]>`
    insert into mowing.product (account_id, item_code, name) values (${account.id}, 'QYAAAAAAA1', 'Glass weights')
    returning product_id as id`;
  await db()`update mowing.ad_group set product_id = ${product} where account_id = ${account.id}`;
  const groups = await listAdGroups(db(), account.id);
  [auto, exact] = ['auto', 'exact'].map((name) => groups.find((one) => one.name === name)!.id);
});
afterAll(closeContext);

const routeHere = (over: Partial<Route> = {}) => aRoute({ sourceId: auto, homeId: exact, ...over });

describe('routes', () => {
  test('are kept as a whole, one between two ends, and come with the review of terms', async () => {
    await keepRoutes(THIS_MACHINE, account.id, [
      routeHere(),
      routeHere({ match: 'phrase', block: 'campaign' }),
    ]);
    const kept = [routeHere({ match: 'phrase', block: 'campaign' })];
    expect((await loadRoutes(account.id)).routes).toEqual(kept);
    const review = told(await loadReview(account.id));
    expect(review.routes).toEqual(kept);
  });

  test('that make a circle are refused with both ends named, and the old ones stay', async () => {
    const before = await loadRoutes(account.id);
    await expect(
      keepRoutes(THIS_MACHINE, account.id, [routeHere(), routeHere({ sourceId: exact, homeId: auto })]),
    ).rejects.toMatchObject({
      code: 'bad-request',
      message: expect.stringContaining('Glass weights – auto › auto → Weights – exact › exact'),
    });
    expect(await loadRoutes(account.id)).toEqual(before);
  });

  test('to another account’s ad group are refused', async () => {
    const other = await anAccount();
    await expect(keepRoutes(THIS_MACHINE, other.id, [routeHere()])).rejects.toMatchObject({
      code: 'bad-request',
    });
  });
});

describe('core terms', () => {
  test('are pinned once, whatever their spelling, and unpinned by any', async () => {
    await pinCoreTerm(THIS_MACHINE, { account: account.id, productId: product, term: 'Glass Weight' });
    await pinCoreTerm(THIS_MACHINE, { account: account.id, productId: product, term: ' glass  weights ' });
    const { pinned } = await loadPinned(account.id);
    expect(pinned).toEqual([{ productId: product, form: 'glass weight', term: 'glass  weights' }]);
    expect(
      await unpinCoreTerm(THIS_MACHINE, { account: account.id, productId: product, term: 'GLASS WEIGHTS' }),
    ).toEqual({
      removed: true,
    });
    expect(
      await unpinCoreTerm(THIS_MACHINE, { account: account.id, productId: product, term: 'glass weights' }),
    ).toEqual({
      removed: false,
    });
  });

  test.each([
    ['a term without a word', '… !', 'bad-request'],
    ['a product that is not there', 'jar', 'not-found'],
  ])('are refused for %s', async (_, term, code) => {
    await expect(
      pinCoreTerm(THIS_MACHINE, {
        account: account.id,
        productId: code === 'not-found' ? 987_654 : product,
        term: term,
      }),
    ).rejects.toMatchObject({ code });
  });
});

test('margins come with the review: of products whose costs are known, and of no other', async () => {
  const margins = async () => told(await loadReview(account.id)).margins;
  expect(await margins()).toEqual([]);
  await db()`
    insert into mowing.product_cost (account_id, product_id, price_micros, goods_micros, fees_micros, shipping_micros)
    values (${account.id}, ${product}, 20000000, 6000000, 3000000, 1000000)`;
  expect(await margins()).toEqual([{ productId: product, share: 0.5 }]);
});

describe('words that tell terms apart', () => {
  test('are kept each once, and come with the review and with the account’s tree', async () => {
    const lists = {
      own: ['Tarnbrook'],
      rival: ['Brineworks', 'brine-works', 'Brineworks'],
      unwanted: ['curtains'],
    };
    await keepWordLists(THIS_MACHINE, account.id, lists);
    const kept = { ...lists, rival: ['Brineworks', 'brine-works'] };
    expect((await loadWordLists(account.id)).lists).toEqual(kept);
    expect(told(await loadReview(account.id)).lists).toEqual(kept);
    expect((await loadTree(account.id)).lists).toEqual(kept);
  });

  test('that no term could hold are refused, and the old ones stay', async () => {
    const { lists } = await loadWordLists(account.id);
    await expect(keepWordLists(THIS_MACHINE, account.id, { ...lists, own: ['…'] })).rejects.toThrow(
      /holds no word/,
    );
    expect((await loadWordLists(account.id)).lists).toEqual(lists);
  });
});

test('a term is as old as its earliest day, in whatever order the reports come', async () => {
  const shop = await anAccount();
  const days = async () => {
    const { rows } = told(await loadReview(shop.id, '2026-11-01', '2026-11-10'));
    return rows.term.map((term, at) => [term, dayFromNumber(rows.firstDay[at]), rows.days[at]]);
  };
  await takeIn(
    shop,
    aReport({ rows: [aReportRow({ day: '2026-11-05' }), aReportRow({ day: '2026-11-07' })] }),
  );
  expect(await days()).toEqual([[expect.any(String), '2026-11-05', 2]]);
  await takeIn(
    shop,
    aReport({ rows: [aReportRow({ day: '2026-09-30' }), aReportRow({ day: '2026-11-08' })] }),
  );
  expect(await days()).toEqual([[expect.any(String), '2026-09-30', 3]]);
});
