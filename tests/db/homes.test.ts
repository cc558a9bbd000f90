import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { listAdGroups, listCampaigns, listNegatives, listTargets } from '../../src/db/queries/structure';
import { listCampaignNodes } from '../../src/db/queries/tree';
import { editValues } from '../../src/server/changes/editStaged';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges, withdraw } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { suggestNew } from '../../src/server/field/suggestBids';
import { makeHome } from '../../src/server/routes/makeHome';
import { keepRoutes, loadRoutes } from '../../src/server/routes/routes';
import {
  keepNegativeList,
  loadNegativeLists,
  removeNegativeList,
} from '../../src/server/words/negativeLists';
import { aRoute } from '../make/terms';
import { anAccount } from './account';
import { aShop, because } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop();
  ({ account } = shop);
});
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const aHome = (over: Partial<Parameters<typeof makeHome>[1]> = {}) =>
  makeHome(THIS_MACHINE, {
    account,
    productId: shop.product,
    name: 'exact',
    defaultBid: 400_000,
    campaign: { name: 'A campaign of its own', budget: 8_000_000 },
    ...over,
  });
const staged = () => loadChanges(account, { state: 'staged' });
const send = async () => {
  const { baleId, trouble } = await sendBale(
    THIS_MACHINE,
    account,
    (await staged()).map(({ id }) => id),
  );
  expect(trouble).toBe('');
  return loadChanges(account, { baleId });
};
const adGroup = async (id: number) => (await listAdGroups(db(), account)).find((one) => one.id === id)!;
const campaign = async (id: number) => (await listCampaigns(db(), account)).find((one) => one.id === id)!;

test('the market suggests a bid for a keyword that is not there yet, and none for words it does not know', async () => {
  const [{ expression }] = await listTargets(db(), account).then((all) =>
    all.filter(({ adGroupId, kind }) => adGroupId === shop.home && kind === 'keyword'),
  );
  const { bids } = await suggestNew(account, [
    { adGroupId: shop.home, kind: 'keyword', match: 'broad', expression },
    { adGroupId: shop.home, kind: 'keyword', match: 'exact', expression: 'xylophone mallets' },
  ]);
  expect(bids[0]!.bid).toBeGreaterThan(0);
  expect(bids[1]).toBeNull();
});

describe('a home that is not there yet', () => {
  test('is a draft that routes lead to and keywords are staged into; sent, all of it is made in order', async () => {
    const { adGroupId, campaignId } = await aHome();
    expect([(await campaign(campaignId)).state, (await adGroup(adGroupId)).state]).toEqual([
      'draft',
      'draft',
    ]);
    await keepRoutes(THIS_MACHINE, account, [aRoute({ sourceId: shop.source, homeId: adGroupId })]);
    await stageChanges(THIS_MACHINE, account, [
      {
        ...because,
        change: {
          kind: 'add-keyword',
          adGroupId,
          expression: 'lid with airlock',
          match: 'exact',
          bid: 400_000,
        },
      },
    ]);
    // Edited in the tray: what is sent counts, here and at the market.
    const [first] = await staged();
    await editValues(THIS_MACHINE, account, [{ id: first.id, value: 9_500_000 }]);
    const answers = await send();
    expect(answers.map(({ change, state }) => [change.kind, state])).toEqual([
      ['add-campaign', 'accepted'],
      ['add-ad-group', 'accepted'],
      ['add-ad', 'accepted'],
      ['add-keyword', 'accepted'],
    ]);
    expect([(await campaign(campaignId)).state, (await adGroup(adGroupId)).state]).toEqual([
      'enabled',
      'enabled',
    ]);
    const budget = async () =>
      (await listCampaignNodes(db(), account)).find(({ id }) => id === campaignId)!.budget;
    expect(await budget()).toBe(9_500_000);
    await shop.sync();
    expect(await budget()).toBe(9_500_000);
    expect(
      (await listCampaigns(db(), account)).filter(({ name }) => name === 'A campaign of its own'),
    ).toHaveLength(1);
    expect(await adGroup(adGroupId)).toMatchObject({ campaignId, productId: shop.product, state: 'enabled' });

    const ids = answers.filter(({ undoable }) => undoable).map(({ id }) => id);
    await undoChanges(THIS_MACHINE, { account, ids });
    expect((await send()).every(({ state }) => state === 'accepted')).toBe(true);
    expect((await campaign(campaignId)).state).toBe('archived');
  });

  test('goes with everything that waits for it when it is taken out of the tray', async () => {
    const { adGroupId } = await aHome({ campaign: { id: shop.campaign }, name: 'second home' });
    await stageChanges(THIS_MACHINE, account, [
      {
        ...because,
        change: { kind: 'add-keyword', adGroupId, expression: 'lid', match: 'exact', bid: 400_000 },
      },
    ]);
    await keepRoutes(THIS_MACHINE, account, [
      aRoute({
        sourceId: shop.source,
        homeId: adGroupId,
        block: 'nowhere',
        asks: { orders: 3, clicks: 9, clicksMultiple: null, spend: null, days: 4, acos: 0.2, surety: null },
        start: { by: 'fixed', amount: 300_000, cap: null },
      }),
    ]);
    expect((await loadRoutes(account)).routes).toMatchObject([
      { asks: { orders: 3, days: 4 }, start: { by: 'fixed', amount: 300_000 } },
    ]);
    const first = (await staged()).find(({ change }) => change.kind === 'add-ad-group')!;
    expect(await withdraw(THIS_MACHINE, account, [first.id])).toHaveLength(3);
    expect((await adGroup(adGroupId)).state).toBe('archived');
    expect((await loadRoutes(account)).routes).toEqual([]);
  });

  test('that the market refuses takes nothing along: what waited is not sent, and the draft ends', async () => {
    const { adGroupId, campaignId } = await aHome({ campaign: { name: 'Never to be', budget: 8_000_000 } });
    // Ended behind our back: the market takes no ad of it any more.
    await shop.books`delete from quaymarket.ad where account_id = ${shop.key}`;
    const products = await shop.books`
      delete from quaymarket.product where account_id = ${shop.key} and name = ${
        (
          await db()<
            { name: string }[]
          >`select name from mowing.product where account_id = ${account} and product_id = ${shop.product}`
        )[0].name
      } returning *`;
    await stageChanges(THIS_MACHINE, account, [
      {
        ...because,
        change: { kind: 'add-keyword', adGroupId, expression: 'waits', match: 'exact', bid: 400_000 },
      },
    ]);
    const answers = await send();
    expect(answers.map(({ change, state, answerCode }) => [change.kind, state, answerCode])).toEqual([
      ['add-campaign', 'accepted', null],
      ['add-ad-group', 'accepted', null],
      ['add-ad', 'refused', 'no-such-product'],
      ['add-keyword', 'refused', 'first-refused'],
    ]);
    expect((await campaign(campaignId)).state).toBe('enabled');
    await shop.books`insert into quaymarket.product ${shop.books(products as never)}`;
  });

  test.each<[string, Parameters<typeof aHome>[0], RegExp]>([
    ['a product that is not there', { productId: 999_999 }, /no product/],
    ['a campaign that is not there', { campaign: { id: 999_999 } }, /no campaign/],
    ['a bid below the market’s minimum', { defaultBid: 10_000 }, /below the market’s minimum/],
  ])('is refused with %s, and no draft is left', async (_, over, reason) => {
    await expect(aHome(over)).rejects.toThrow(reason);
    expect((await listAdGroups(db(), account)).filter(({ state }) => state === 'draft')).toEqual([]);
  });

  test('is refused where its name is taken, and in an account that is fed by files', async () => {
    const { name } = await campaign(shop.campaign);
    await expect(aHome({ campaign: { name, budget: 8_000_000 } })).rejects.toThrow(
      /There is a campaign called/,
    );
    await expect(aHome({ campaign: { id: shop.campaign }, name: 'auto' })).rejects.toThrow(/ad group called/);
    const files = await anAccount();
    await expect(aHome({ account: files.id })).rejects.toThrow(/fed by files/);
  });
});

describe('a named list of negatives', () => {
  const lists = async () => (await loadNegativeLists(account)).lists;

  test('knows what it put where: staged over its campaigns, learnt when accepted, lifted when taken off', async () => {
    const campaigns = (await listCampaigns(db(), account)).filter(({ state }) => state === 'enabled');
    const [one, two] = campaigns.map(({ id }) => id);
    const terms = [
      { match: 'phrase', expression: 'second hand' },
      { match: 'phrase', expression: 'Second Hands' },
      { match: 'exact', expression: 'toy' },
    ] as const;
    const { id } = await keepNegativeList(THIS_MACHINE, {
      account,
      list: { id: null, name: 'Never', terms: [...terms], campaignIds: [one, two] },
    });
    const [list] = await lists();
    expect(list).toMatchObject({ name: 'Never', heldByCampaign: [0, 0], heldByTerm: [0, 0] });
    expect(list.missing).toHaveLength(4);

    await stageChanges(
      THIS_MACHINE,
      account,
      list.missing.map((place) => ({
        ...because,
        figures: {},
        carries: { listId: id },
        change: { kind: 'add-negative', adGroupId: null, ...place },
      })),
    );
    // A negative of the round that names the list: it learns the term.
    await stageChanges(THIS_MACHINE, account, [
      {
        ...because,
        figures: {},
        carries: { listId: id },
        change: {
          kind: 'add-negative',
          campaignId: one,
          adGroupId: null,
          match: 'exact',
          expression: 'free',
        },
      },
    ]);
    await send();
    expect((await lists())[0]).toMatchObject({
      heldByCampaign: [3, 2],
      heldByTerm: [2, 2, 1],
      missing: [{ campaignId: two, match: 'exact', expression: 'free' }],
      excess: [],
    });

    const { name, terms: known } = (await lists())[0];
    await keepNegativeList(THIS_MACHINE, {
      account,
      list: { id, name, terms: known.filter(({ expression }) => expression !== 'toy'), campaignIds: [one] },
    });
    const { excess } = (await lists())[0];
    expect(excess.map(({ campaignId, expression }) => [campaignId, expression]).sort()).toEqual(
      [
        [one, 'toy'],
        [two, 'second hand'],
        [two, 'toy'],
      ].sort(),
    );
    await stageChanges(
      THIS_MACHINE,
      account,
      excess.map(({ id: negativeId }) => ({ ...because, change: { kind: 'archive-negative', negativeId } })),
    );
    await send();
    expect((await lists())[0].excess).toEqual([]);
    expect(await removeNegativeList(THIS_MACHINE, account, id)).toEqual({ removed: true });
    const left = (await listNegatives(db(), account)).filter(
      ({ expression, state }) => expression === 'second hand' && state === 'enabled',
    );
    expect(left.map(({ campaignId }) => campaignId)).toEqual([one]);
  });

  test('keeps its name to itself, and holds no term without a word', async () => {
    const list = { id: null, name: 'Once', terms: [], campaignIds: [] };
    await keepNegativeList(THIS_MACHINE, { account, list });
    await expect(keepNegativeList(THIS_MACHINE, { account, list })).rejects.toThrow(
      /another list called “Once”/,
    );
    await expect(
      keepNegativeList(THIS_MACHINE, {
        account,
        list: { ...list, name: 'Wordless', terms: [{ match: 'exact', expression: '—' }] },
      }),
    ).rejects.toThrow(/holds no word/);
  });
});
