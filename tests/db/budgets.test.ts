import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { indexTree } from '../../src/core/structure';
import { addDays } from '../../src/core/units';
import { USUAL_PLAN_CHOICES } from '../../src/contract/choices';
import type { SpendByBids } from '../../src/contract/choices';
import { USUAL_LIMITS } from '../../src/core/changes';
import { largest } from '../../src/core/order';
import { keptBids, roundSettings } from '../../src/plans/bids';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { closeContext, db } from '../../src/server/context/context';
import { loadTree } from '../../src/server/field/loadTree';
import { loadMoney, topUp } from '../../src/server/money/loadMoney';
import { loadPace, removeSpendPlan, setSpendPlan } from '../../src/server/money/spendPlans';
import { ownCampaign } from '../../src/server/money/ownCampaign';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { changeChoices } from '../../src/server/plans/choices';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop } from './shop';
import type { Shop } from './shop';
import { told } from '../make/told';
import { factsChanged } from '../make/facts';

let shop: Shop;
beforeAll(async () => {
  shop = await aShop();
});
afterAll(async () => {
  await shop?.end();
  await closeContext();
});

const feedNow = async () => told(await loadBidFeed(shop.account));
const setBudget = (micros: number) => db()`
  update mowing.campaign set budget_micros = ${micros} where account_id = ${shop.account} and campaign_id = ${shop.campaign}`;

describe('budgets as they stood', () => {
  test('are kept by day, whatever changes them; on one day the last counts', async () => {
    const [{ was }] = await db()<{ was: number }[]>`
      select budget_micros as was from mowing.campaign where account_id = ${shop.account} and campaign_id = ${shop.campaign}`;
    expect((await feedNow()).budgetDays).toEqual([]);
    await setBudget(was + 1_000_000);
    await setBudget(was + 2_000_000);
    const [{ today }] = await db()<{ today: string }[]>`
      select market_day as today from mowing.account where account_id = ${shop.account}`;
    expect((await feedNow()).budgetDays).toEqual([
      { campaignId: shop.campaign, day: '2000-01-01', budget: was },
      { campaignId: shop.campaign, day: today, budget: was + 2_000_000 },
    ]);
  });

  test('judge the days before a change: a campaign that ran dry then is not well for having money now', async () => {
    const feed = await feedNow();
    const { account, campaign } = shop;
    // A week ago its money was gone at noon every day: 12 clicks at 0.50 of a budget of 6.
    const from = addDays(feed.today, -7);
    await db()`
      update mowing.budget_day set budget_micros = 6000000 where account_id = ${account} and campaign_id = ${campaign} and day = '2000-01-01'`;
    await db()`update mowing.campaign set pacing = 'fast' where account_id = ${account} and campaign_id = ${campaign}`;
    await db()`delete from mowing.campaign_hour where account_id = ${account} and campaign_id = ${campaign} and day >= ${from}`;
    await db()`
      insert into mowing.campaign_hour (account_id, day, campaign_id, hour, impressions, clicks, orders, units, spend_micros, sales_micros)
      select ${account}, ${from}::date + d, ${campaign}, h, 10, 1, 0, 0, 500000, 0 from generate_series(0, 6) d, generate_series(0, 11) h`;
    await factsChanged(account);
    const index = indexTree(await loadTree(account));
    const bids = keptBids(index, await feedNow());
    const { dry } = bids.ranDry.campaigns[bids.campaignIds.indexOf(campaign)];
    const week = dry.filter(({ age }) => age < 7);
    expect(week.map((one) => one.from)).toEqual(new Array(7).fill(11.5));
    for (const { missed } of week) expect(missed).toBeGreaterThan(5);
  });
});

test('what the money is for is refused without an amount, and kept with one', async () => {
  const change = (money: { means: 'money'; month?: number }) =>
    changeChoices(THIS_MACHINE, { account: shop.account, money });
  await expect(change({ means: 'money' })).rejects.toThrow('Say how much may be spent a month');
  const { choices } = await change({ means: 'money', month: 900_000_000 });
  expect(choices.money).toEqual({ means: 'money', month: 900_000_000, over: 1.25, byBids: [] });
});

test('bids hold what a campaign may spend a day, whatever its budget', async () => {
  const index = indexTree(await loadTree(shop.account));
  const bids = keptBids(index, await feedNow());
  const choices = (byBids: SpendByBids[]) =>
    roundSettings({ ...USUAL_PLAN_CHOICES, money: { ...USUAL_PLAN_CHOICES.money, byBids } }, USUAL_LIMITS);
  const { exposures } = bids.prepared;
  const campaignOf = (target: number) => index.placeOfTarget(bids.targetIds[target]).campaignId;
  const campaignId = campaignOf(exposures.flow.indexOf(largest(exposures.flow)));
  const its = (byBids: SpendByBids[]) =>
    bids.decide(choices(byBids)).proposals.filter(({ target }) => campaignOf(target) === campaignId);
  const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
  const perDay = sum(its([]).map(({ target }) => exposures.flow[target] * exposures.cpc[target]));
  const wanted = (byBids: SpendByBids[]) => sum(its(byBids).map((one) => one.wanted));
  expect(wanted([{ campaignId, perDay: Math.round(perDay / 4) }])).toBeLessThan(0.7 * wanted([]));
});

describe('what a part of the account may spend', () => {
  const pace = () => loadPace(shop.account);

  test('is kept by day or month, judged by what the part spent, and can be dropped', async () => {
    const { account, campaign } = shop;
    const { lastDay } = await pace();
    const [{ spent, product }] = await db()<{ spent: number; product: number }[]>`
      select sum(f.spend_micros)::bigint as spent, min(g.product_id) as product
      from mowing.target_day f join mowing.target t using (account_id, target_id) join mowing.ad_group g using (account_id, ad_group_id)
      where f.account_id = ${account} and g.campaign_id = ${campaign} and f.day > ${lastDay}::date - 7`;
    await setSpendPlan(THIS_MACHINE, account, {
      scope: 'campaign',
      scopeId: campaign,
      span: 'day',
      spend: 5_000_000,
    });
    await setSpendPlan(THIS_MACHINE, account, {
      scope: 'product',
      scopeId: product,
      span: 'month',
      spend: 70_000_000,
    });
    const [ofProduct, ofCampaign] = (await pace()).parts;
    expect([ofProduct.scope, ofProduct.span, ofProduct.plan]).toEqual(['product', 'month', 70_000_000]);
    expect(ofCampaign.done).toBeCloseTo(spent / 7, 6);
    expect(ofCampaign.pace).toBeCloseTo(spent / 7 / 5_000_000, 9);
    await removeSpendPlan(THIS_MACHINE, account, { scope: 'campaign', scopeId: campaign, span: 'day' });
    expect((await pace()).parts.map(({ scope }) => scope)).toEqual(['product']);
  });

  test('is refused for a part that the account does not have', async () => {
    await expect(
      setSpendPlan(THIS_MACHINE, shop.account, { scope: 'line', scopeId: 999_999, span: 'day', spend: 1e6 }),
    ).rejects.toThrow('The account has no line 999999');
  });
});

describe('a campaign of its own for a target', () => {
  const strong = async () =>
    (await loadTree(shop.account)).targets.find(
      ({ match, state, adGroupId }) => match === 'exact' && state === 'enabled' && adGroupId === shop.home,
    )!;

  test('goes out as one bale in order: made, filled, the old target paused and its money moved; its record goes along', async () => {
    const target = await strong();
    const before = await loadTree(shop.account);
    const group = before.adGroups.find(({ id }) => id === target.adGroupId)!;
    const old = before.campaigns.find(({ id }) => id === group.campaignId)!;
    const { campaignId, ids } = await ownCampaign(THIS_MACHINE, {
      account: shop.account,
      targetId: target.id,
      name: 'A campaign of its own',
      budget: 6_500_000,
      leaves: 4_200_000,
    });
    const staged = await loadChanges(shop.account, { state: 'staged' });
    expect(staged.filter(({ id }) => ids.includes(id))).toHaveLength(ids.length);
    const paused = staged.find(({ change }) => change.kind === 'set-state')!;
    const made = staged.find(({ change }) => change.kind === 'add-keyword')!;
    expect(paused.afterId).toBe(made.id);
    await sendBale(THIS_MACHINE, shop.account, ids);
    await shop.sync();
    const tree = await loadTree(shop.account);
    expect(tree.campaigns.find(({ id }) => id === campaignId)).toMatchObject({
      state: 'enabled',
      budget: 6_500_000,
      top: old.top,
    });
    expect(tree.campaigns.find(({ id }) => id === old.id)!.budget).toBe(4_200_000);
    expect(tree.targets.find(({ id }) => id === target.id)!.state).toBe('paused');
    const index = indexTree(tree);
    const own = tree.targets.find(({ id }) => index.placeOfTarget(id).campaignId === campaignId)!;
    expect(own).toMatchObject({ expression: target.expression, match: 'exact', state: 'enabled' });
    expect(index.placeOfTarget(own.id).productId).toBe(group.productId);
    expect(own.bid).toBe(target.bid ?? group.defaultBid);
    const { before: records, days } = await feedNow();
    const clicks = days.targetId.reduce((sum, id, row) => sum + (id === target.id ? days.clicks[row] : 0), 0);
    // What its words brought in the product's ad groups is told of it.
    if (clicks > 0) expect(records.find(({ targetId }) => targetId === own.id)!.clicks).toBeGreaterThan(0);
  });

  test('is refused for a name that is taken, and for what cannot be told of alone; nothing is staged', async () => {
    const { targets, campaigns } = await loadTree(shop.account);
    const ask = (targetId: number, name: string) =>
      ownCampaign(THIS_MACHINE, {
        account: shop.account,
        targetId,
        name,
        budget: 5_000_000,
        leaves: 5_000_000,
      });
    const exact = await strong();
    await expect(ask(exact.id, campaigns[0].name)).rejects.toThrow('Choose another name');
    const auto = targets.find(({ kind }) => kind === 'auto')!;
    await expect(ask(auto.id, 'Another')).rejects.toThrow('Only exact keywords and items');
    expect(await loadChanges(shop.account, { state: 'staged' })).toEqual([]);
  });
});

test('prepaid funds: the page says so days before they are gone, nothing is shown when they are, and more can be paid in', async () => {
  const kites = await aShop({ funds: 9_000_000_000, days: 10 });
  try {
    const amounts = async () => (await loadMoney(kites.account)).warnings.map(({ sentence }) => sentence);
    // So much is left that it lasts about five days.
    const { perDay } = (await loadMoney(kites.account)).funds!.end!;
    expect(await amounts()).toEqual([expect.stringContaining('Prepaid funds of'), expect.any(String)]);
    await kites.books`
      update quaymarket.account set state = jsonb_set(state, '{funds}', to_jsonb(${Math.round(5 * perDay)}::bigint)) where account_id = ${kites.key}`;
    await kites.sync();
    let warnedOn: number | null = null;
    let goneOn: number | null = null;
    for (let day = 0; day < 20 && goneOn === null; day += 1) {
      const { funds, warnings } = await loadMoney(kites.account);
      if (warnings.some(({ kind, isUrgent }) => kind === 'funds' && isUrgent)) warnedOn ??= day;
      if (funds!.left < perDay / 10) goneOn = day;
      else await kites.pass(1);
    }
    expect(goneOn).not.toBeNull();
    expect(goneOn! - warnedOn!).toBeGreaterThanOrEqual(1);
    const left = async () => (await loadMoney(kites.account)).funds!.left;
    await kites.pass(1);
    const gone = await left();
    await kites.pass(2);
    expect(await left()).toBe(gone);
    const { funds } = await topUp(THIS_MACHINE, kites.account, 500_000_000);
    expect(funds).toBe(gone + 500_000_000);
    await kites.pass(1);
    expect(await left()).toBeLessThan(funds);
    expect((await amounts()).join(' ')).toContain('Prepaid funds of');
  } finally {
    await kites.end();
  }
});
