import { afterAll, beforeAll, expect, test } from 'vitest';
import { smallScenario } from '../../src/market/sim';
import type { Rule } from '../../src/core/rules';
import { closeContext, db } from '../../src/server/context/context';
import { loadGrowth } from '../../src/server/standing/growth/loadGrowth';
import { beginGrowth, loadGrowthPlans } from '../../src/server/standing/growth/plans';
import { loadNights } from '../../src/server/standing/nights';
import { loadRules, saveRule } from '../../src/server/standing/rules';
import { playRule } from '../../src/server/standing/play/plays';
import { runNight } from '../../src/server/standing/runNight';
import { tryRule } from '../../src/server/standing/tryRule';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop } from './shop';
import type { Shop } from './shop';

// A product that is not advertised yet is grown within a daily budget.

let shop: Shop;
let account: number;
let product: number;
let plan: number;
let heads: string[];

beforeAll(async () => {
  const { products } = smallScenario();
  shop = await aShop({
    days: 45,
    headVolume: 400,
    products: products.map((one, at) => (at === 2 ? { ...one, isNew: true } : one)),
  });
  ({ account } = shop);
  heads = products[2].heads;
  const { products: open } = await loadGrowthPlans(account);
  product = open.find(({ name }) => name === products[2].name)!.id;
  ({ id: plan } = await beginGrowth(THIS_MACHINE, { account, productId: product }));
}, 240_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const ruleOf = async (): Promise<Rule> =>
  (await loadRules(account)).rules.find(({ id }) => id === plan)!.rule;
/** What the market lets the plan's running campaigns spend a day. */
const budgets = async () => {
  const [{ sum }] = await db()<{ sum: number }[]>`
    select coalesce(sum(budget_micros), 0)::float8 as sum from mowing.campaign where account_id = ${account} and state = 'enabled'
      and campaign_id in (select campaign_id from mowing.growth_step where account_id = ${account} and rule_id = ${plan})`;
  return sum;
};

test('it is grown in 60 days from nothing to the third stage, its budgets never over the total', async () => {
  const [TOTAL, EVERY] = [40_000_000, 4];
  const before = await ruleOf();
  const rule: Rule = {
    ...before,
    sends: true,
    rhythm: { kind: 'every', days: EVERY },
    growth: { ...before.growth!, total: TOTAL, find: { ...before.growth!.find, terms: heads } },
    most: { ...before.most, spend: 3_000_000_000 },
  };
  await tryRule(THIS_MACHINE, { account, id: plan, rule, nights: 1, back: 0 });
  await saveRule(THIS_MACHINE, { account, id: plan, rule });
  await playRule(THIS_MACHINE, { account, id: plan, weeks: 1, markets: 1 });
  await saveRule(THIS_MACHINE, { account, id: plan, rule, isOn: true });
  for (let day = 0; day < 60; day += EVERY) {
    await runNight(account);
    const sum = await budgets();
    expect(sum).toBeLessThanOrEqual(TOTAL);
    await shop.pass(EVERY);
  }
  const { members } = await loadGrowth(account, plan);
  expect(members.map(({ stage }) => stage)).toContain('grow');
  const { nights } = await loadNights(account);
  expect(nights.every(({ state, refused }) => state === 'done' && refused === 0)).toBe(true);
}, 900_000);
