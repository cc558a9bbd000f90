import { describe, expect, test } from 'vitest';
import { USUAL_LIMITS, usualLimits } from '../changes';
import {
  chancesFor,
  findMoney,
  growthFaults,
  growthForecast,
  isGivenUp,
  nextTerms,
  planMoney,
  raisedBid,
  stageMoves,
  STAGES,
  USUAL_GROWTH,
} from '.';
import type { GrowthCampaign, GrowthPlan } from '.';

const EUR = 1_000_000;
const plan = (over: Partial<GrowthPlan> = {}): GrowthPlan => ({ ...USUAL_GROWTH, total: 60 * EUR, ...over });
const campaign = (over: Partial<GrowthCampaign> = {}): GrowthCampaign => ({
  id: 1,
  name: 'Lamp – exact',
  stage: 'tune',
  budget: 10 * EUR,
  isRunning: true,
  isCounted: true,
  isDraft: false,
  need: 10 * EUR,
  days: 20,
  spend: 40 * EUR,
  orders: 8,
  sales: 200 * EUR,
  ...over,
});
const moneyOf = (list: GrowthCampaign[], how = plan(), limits = USUAL_LIMITS) => planMoney(how, list, limits);
const sum = (list: number[]) => list.reduce((all, one) => all + one, 0);

describe('the money of a plan', () => {
  test.each([
    ['EUR', 10_000],
    ['JPY', 1_000_000],
  ])('never comes to more than its total in %s, whatever of its moves is refused', (currency, step) => {
    let seed = 11;
    const chance = (most: number) => (seed = (seed * 48_271) % 2_147_483_647) % most;
    let raised = 0;
    for (let round = 0; round < 400; round += 1) {
      const list = Array.from({ length: 1 + chance(7) }, (_, at) =>
        campaign({
          id: at % 4 === 3 ? -at : at + 1,
          stage: STAGES[chance(3)],
          budget: at % 4 === 3 ? 0 : (50 + chance(1200)) * 20_000,
          need: chance(5) === 0 ? null : (1 + chance(40)) * EUR,
          isRunning: at % 4 === 3 || chance(4) > 0,
          isCounted: at % 4 === 3 || chance(6) > 0,
          isDraft: at % 4 !== 3 && chance(8) === 0,
        }),
      );
      const total = (10 + chance(80)) * EUR;
      const { budgets, now, free } = moneyOf(list, plan({ total }), usualLimits(currency));
      raised += budgets.filter(({ from, to }) => to > from).length;
      // The worst that can be: every raise is accepted, and nothing that was to be lowered is.
      const worst = now + sum(budgets.map(({ from, to }) => Math.max(0, to - from)));
      expect(worst).toBeLessThanOrEqual(Math.max(total, now));
      expect(Math.abs(free - Math.max(0, total - worst))).toBeLessThan(0.01 * EUR);
      for (const { to } of budgets) expect(to % step).toBe(0);
    }
    expect(raised).toBeGreaterThan(100);
  });

  test('counts what is on and idle, or on its way to be made: it may spend tomorrow', () => {
    const idle = campaign({ id: 1, isRunning: false, budget: 30 * EUR, need: null });
    const draft = campaign({ id: 2, isRunning: false, isDraft: true, budget: 20 * EUR, need: null });
    const needy = campaign({ id: 3, budget: 5 * EUR, need: 40 * EUR });
    const off = plan({ find: { ...USUAL_GROWTH.find, isOn: false } });
    const { budgets, now, free } = moneyOf([idle, draft, needy], off);
    expect([now, free]).toEqual([55 * EUR, 0]);
    expect(budgets).toMatchObject([{ campaign: 3, to: 10 * EUR }]);
  });

  test('gives finding its share within its cap, alike to each of its campaigns', () => {
    const finds = [1, 2].map((id) => campaign({ id, stage: 'find', budget: 5 * EUR }));
    expect(findMoney(plan(), USUAL_LIMITS)).toBe(24 * EUR);
    expect(moneyOf(finds).budgets.map(({ to }) => to)).toEqual([12 * EUR, 12 * EUR]);
    const capped = plan({ find: { ...USUAL_GROWTH.find, cap: 8 * EUR } });
    expect(moneyOf(finds, capped).budgets.map(({ to }) => to)).toEqual([4 * EUR, 4 * EUR]);
  });

  test('goes to what needs more once the rest of it is free; until then it waits, and says so', () => {
    const list = [
      campaign({ id: 1, budget: 34 * EUR, need: 8 * EUR }),
      campaign({ id: 2, budget: 26 * EUR, need: 40 * EUR }),
    ];
    const off = plan({ find: { ...USUAL_GROWTH.find, isOn: false } });
    const tonight = moneyOf(list, off);
    expect(tonight.budgets.map(({ campaign: id, from, to }) => [id, to < from])).toEqual([[1, true]]);
    expect(tonight.waits.join()).toMatch(/wait until what is lowered tonight is accepted/);
    const tomorrow = moneyOf([{ ...list[0], budget: tonight.budgets[0].to }, list[1]], off);
    expect(tomorrow.budgets.find(({ campaign: id }) => id === 2)!.to).toBeGreaterThan(38 * EUR);
  });

  test('comes down to the total at once where more was taken in', () => {
    const list = [1, 2, 3].map((id) => campaign({ id, budget: 40 * EUR, need: 40 * EUR }));
    const { budgets } = moneyOf(list, plan({ find: { ...USUAL_GROWTH.find, isOn: false } }));
    expect(sum(budgets.map(({ to }) => to))).toBeLessThanOrEqual(60 * EUR);
    expect(budgets[0].reason).toMatch(/come to 120.00 a day, and 60.00 is its total/);
  });
});

describe('finding', () => {
  const { find } = USUAL_GROWTH;
  const tried = { id: 1, days: 20, clicks: 30, spend: 9 * EUR, orders: 0 };

  test('gives up what had both its money and its days and sold nothing, and nothing else', () => {
    expect(isGivenUp(tried, find)).toBe(true);
    expect(isGivenUp({ ...tried, days: 13 }, find)).toBe(false);
    expect(isGivenUp({ ...tried, spend: 7 * EUR }, find)).toBe(false);
    expect(isGivenUp({ ...tried, orders: 1 }, find)).toBe(false);
  });

  test('raises a bid that is hardly shown, step by step, never above what it may cost', () => {
    const quiet = { ...tried, days: 7, spend: EUR };
    const at = { bid: 500_000, most: 600_000, up: 0.25, sinceChange: Infinity };
    expect(raisedBid(quiet, find, at, 10_000)?.to).toBe(600_000);
    expect(raisedBid(quiet, find, { ...at, most: 1_000_000 }, 10_000)?.to).toBe(620_000);
    expect(raisedBid(quiet, find, { ...at, sinceChange: 2 }, 10_000)).toBeNull();
    expect(raisedBid({ ...quiet, spend: 3 * EUR }, find, at, 10_000)).toBeNull();
    expect(raisedBid({ ...quiet, days: 43 }, find, at, 10_000)).toBeNull();
    expect(raisedBid(quiet, find, { ...at, bid: 600_000 }, 10_000)).toBeNull();
  });

  test('tries own terms first, then as many that sold elsewhere as the money gives a chance', () => {
    const sold = [
      { text: 'oak lamp', orders: 2, sales: 90 * EUR },
      { text: 'tall lamp', orders: 1, sales: 20 * EUR },
      { text: 'lamp repair', orders: 0, sales: 0 },
      { text: 'round lamp', orders: 3, sales: 120 * EUR },
    ];
    const own = { terms: ['bed lamp', 'oak lamp'], others: true };
    const names = (room: number, isThere = (_: string) => false) =>
      nextTerms(own, sold, isThere, room).map(({ text }) => text);
    expect(names(10)).toEqual(['bed lamp', 'oak lamp', 'round lamp', 'tall lamp']);
    expect(names(3)).toEqual(['bed lamp', 'oak lamp', 'round lamp']);
    expect(names(10, (text) => text !== 'tall lamp')).toEqual(['tall lamp']);
    expect(chancesFor(24 * EUR, find)).toBe(42);
  });
});

describe('a campaign', () => {
  const range = { low: 0.17, high: 0.22 };

  test('moves on once its ACOS is in the range on enough orders, and back when it is clearly above', () => {
    const of = (over: Partial<GrowthCampaign>) => stageMoves([campaign(over)], plan(), range)[0]?.to;
    expect(of({})).toBe('grow');
    expect(of({ orders: 4 })).toBeUndefined();
    expect(of({ days: 13 })).toBeUndefined();
    expect(of({ spend: 46 * EUR })).toBeUndefined();
    expect(of({ stage: 'grow', spend: 46 * EUR })).toBeUndefined();
    expect(of({ stage: 'grow', spend: 60 * EUR })).toBe('tune');
    expect(stageMoves([campaign()], plan({ grow: { isOn: false } }), range)).toEqual([]);
  });
});

describe('a forecast', () => {
  test('is as wide as what little is known makes it, and leaves out what nothing is known of', () => {
    const known = { spend: 10 * EUR, cpc: 0.5 * EUR, rpc: 3 * EUR, orders: 50, sales: 1500 * EUR };
    const sure = growthForecast([known, null], 0.4);
    const unsure = growthForecast([{ ...known, orders: 2, sales: 60 * EUR }], 0.4);
    expect(sure.spend).toBeCloseTo(304 * EUR, -1);
    expect(sure.sales).toBeCloseTo(1824 * EUR, -1);
    expect(sure.unknown).toBe(1);
    expect(sure.afterAds!.mean).toBeCloseTo((0.4 * 1824 - 304) * EUR, -1);
    expect(unsure.high - unsure.low).toBeGreaterThan(2 * (sure.high - sure.low));
    expect(growthForecast([known], null).afterAds).toBeNull();
  });
});

test('what a market would not take is told in sentences, each for itself', () => {
  const faults = growthFaults(
    plan({ total: 2 * EUR, find: { ...USUAL_GROWTH.find, bid: 10_000, terms: ['oak!lamp'] } }),
    USUAL_LIMITS,
  );
  expect(faults).toHaveLength(3);
  expect(faults[0]).toMatch(/money for finding comes to 0.80 a day; a campaign needs 1.00/);
  expect(growthFaults(plan(), USUAL_LIMITS)).toEqual([]);
});
