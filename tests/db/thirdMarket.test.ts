import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest';
import type { BuildPlan } from '../../src/core/build';
import { scenarios } from '../../src/market/sim';
import { launchPlan } from '../../src/server/build/launch';
import { beginPlan, savePlan } from '../../src/server/build/plans';
import { workOut } from '../../src/server/build/workOut';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext, db } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { aTerm } from '../make/plan';
import { planMaker } from './planMaker';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// A market of another kind: ad groups have a part of their campaign's budget, at most a hundred keywords, and no items can be bid on.

let shop: Shop;
let account: number;

beforeAll(async () => {
  const { key: _, ...fernhollow } = scenarios.get('fernhollow')!;
  shop = await aShop({ ...fernhollow, accountName: 'Third shop', days: 15 });
  ({ account } = shop);
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const { onMarket } = planMaker(() => shop);
const begin = async (over: (plan: BuildPlan) => Partial<BuildPlan>) => {
  const { id, plan } = await beginPlan(THIS_MACHINE, { account, productId: shop.product });
  return savePlan(THIS_MACHINE, { account, id, plan: { ...plan, ...over(plan) } });
};
const terms = (count: number) =>
  Array.from({ length: count }, (_, at) => aTerm(`journal number ${at}`, ['exact']));

test('a plan begins with the parts and groups that the market offers, and no others', async () => {
  const { plan } = await begin(() => ({}));
  const on = Object.entries(plan.parts).filter(([, { isOn }]) => isOn);
  expect(on.map(([name]) => name).sort()).toEqual(['auto', 'broad', 'exact', 'phrase']);
  expect(plan.groups.map(({ name }) => name)).toEqual(['near searches', 'wide searches']);
});

test('more keywords or negatives than an ad group takes are told before anything is made', async () => {
  const { faults } = await begin((plan) => ({
    terms: terms(120),
    mostKeywords: null,
    parts: {
      ...plan.parts,
      broad: { ...plan.parts.broad, isOn: false },
      phrase: { ...plan.parts.phrase, isOn: false },
    },
  }));
  expect(faults.map(({ at, sentence }) => [at, sentence])).toEqual([
    ['parts.auto', expect.stringMatching(/120 negatives in one ad group; the market takes 100/)],
    ['parts.exact', expect.stringMatching(/120 targets in one ad group; the market takes 100/)],
  ]);
});

test('ad groups are made with their part of the budget, and stop when it is spent', async () => {
  const { id } = await begin((plan) => ({
    code: 'Parts',
    terms: terms(10).map((term) => ({ ...term, matches: ['exact', 'phrase', 'broad'] })),
    adGroupShare: 0.6,
    total: 60_000_000,
    parts: plan.parts,
  }));
  await launchPlan(THIS_MACHINE, account, id);
  const { campaigns, lines } = await workOut(account, id);
  expect(Object.values(lines).every(({ state }) => state === 'accepted')).toBe(true);
  const budgets = new Map((await onMarket('ad-groups')).map(({ name, budget }) => [name, budget]));
  for (const { name, budget } of campaigns) expect([name, budgets.get(name)]).toEqual([name, budget * 0.6]);

  const [{ id: adGroupId, campaignId }] = await db()<{ id: number; campaignId: number }[]>`
    select ad_group_id as id, campaign_id as "campaignId" from mowing.ad_group
    where account_id = ${account} and name = 'auto' order by ad_group_id limit 1`;
  const [change] = await stageChanges(THIS_MACHINE, account, [
    { change: { kind: 'set-ad-group-budget', adGroupId, from: null, to: 2_000_000 }, ...because },
  ]);
  await sendBale(THIS_MACHINE, account, [change!]);
  await shop.pass(4);
  const days = await db()<{ spend: number }[]>`
    select sum(spend_micros)::float8 as spend from mowing.placement_day
    where account_id = ${account} and campaign_id = ${campaignId} and day >= (select max(day) - 2 from mowing.placement_day where account_id = ${account})
    group by day`;
  expect(days.length).toBe(3);
  for (const { spend } of days) expect(spend).toBeLessThanOrEqual(2_000_000);
});

test('every click costs the market’s one price, and a bid is told to be none before anything is sent', async () => {
  const [{ spend, clicks }] = await db()<{ spend: number; clicks: number }[]>`
    select sum(spend_micros)::float8 as spend, sum(clicks)::float8 as clicks from mowing.placement_day where account_id = ${account}`;
  const { clickPrice } = scenarios.get('fernhollow')!.options;
  expect(clicks).toBeGreaterThan(100);
  expect(spend).toBe(clicks * clickPrice!);
  const { plan, faults } = await begin((fresh) => ({
    code: 'Price',
    terms: [{ ...aTerm('dotted journal'), bids: { exact: 500_000 } }],
    parts: { ...fresh.parts, auto: { ...fresh.parts.auto, bid: 200_000 } },
  }));
  expect(plan.parts.exact.bid).toBe(clickPrice);
  const wrong = faults.filter(({ weight, at }) => weight === 'wrong' && /terms|auto/.test(at));
  expect(wrong.map(({ sentence }) => sentence)).toEqual([
    expect.stringMatching(/0\.20 is below the market’s minimum of 0\.34/),
    expect.stringMatching(/0\.50 is above the market’s maximum of 0\.34/),
  ]);
});

test('a campaign that leaves out similar categories is not shown to who looks for something like it', async () => {
  /** Impressions of letter paper for who looks for envelopes, since a day. */
  const shown = async (since: string) => {
    const [{ impressions }] = await db()<{ impressions: number }[]>`
      select coalesce(sum(f.impressions), 0)::float8 as impressions from mowing.term_day f
      join mowing.term w on w.account_id = f.account_id and w.term_id = f.term_id
      join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
      join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      join mowing.product p on p.account_id = g.account_id and p.product_id = g.product_id
      where f.account_id = ${account} and t.kind = 'auto' and p.name like 'Letter paper%' and w.text like '%envelope%' and w.text not like '%paper%' and f.day >= ${since}`;
    return impressions;
  };
  expect(await shown('2026-01-01')).toBeGreaterThan(20);
  const campaigns = await db()<{ id: number }[]>`
    select campaign_id as id from mowing.campaign where account_id = ${account} and state = 'enabled'`;
  const [{ today }] = await shop.books<{ today: string }[]>`
    select today from quaymarket.account where account_id = ${shop.key}`;
  const ids = await stageChanges(
    THIS_MACHINE,
    account,
    campaigns.map(({ id }) => ({
      change: { kind: 'set-similar', campaignId: id, from: 'on', to: 'off' } as const,
      ...because,
    })),
  );
  await sendBale(THIS_MACHINE, account, ids as number[]);
  await shop.pass(6);
  expect(await shown(today)).toBe(0);
});

test('a part that is larger than the whole is refused, and told at its change', async () => {
  const [{ id: adGroupId }] = await db()<{ id: number }[]>`
    select ad_group_id as id from mowing.ad_group where account_id = ${account} and name = 'exact' limit 1`;
  const [change] = await stageChanges(THIS_MACHINE, account, [
    { change: { kind: 'set-ad-group-budget', adGroupId, from: null, to: 400_000_000 }, ...because },
  ]);
  await sendBale(THIS_MACHINE, account, [change!]);
  expect((await loadChanges(account, {})).find(({ id }) => id === change)).toMatchObject({
    state: 'refused',
    answer: 'The ad group’s budget is larger than that of its campaign.',
  });
});
