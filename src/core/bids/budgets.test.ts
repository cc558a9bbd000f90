import { describe, expect, test } from 'vitest';
import { DAYS_PER_MONTH } from '../units';
import { settings, someTargets } from '../../../tests/make/bids';
import { USUAL_SETTINGS } from './observations';
import type { BidObservations } from './observations';
import { monthAtBid } from './freed';
import { prepareBids } from './prepareBids';
import { priorsOf } from './priors';
import { proposeBids } from './proposeBids';

describe('a daily budget', () => {
  const campaign = (budget: number | null) => ({ budget, modifiers: [0, 0, 0] as [number, number, number] });
  const sells = { clicks: 5, orders: 40, cpc: 0.4 };

  test('that the clicks would cost more than is met by bids for the same clicks, cheaper', () => {
    const free = proposeBids(someTargets([sells], { campaigns: [campaign(null)] }), settings());
    const tight = proposeBids(someTargets([sells], { campaigns: [campaign(1_900_000)] }), settings());
    expect([free.columns.held[0], tight.columns.held[0] < 1]).toEqual([1, true]);
    const [{ now, wanted, from }] = tight.proposals;
    // What a month comes to now is what the budget pays for; the clicks that are there to be had cost a quarter more than was spent.
    expect(now.spend / DAYS_PER_MONTH).toBeCloseTo(1_900_000, -1);
    const dailySpend = 2_500_000 * (wanted / from) ** 1.8;
    expect(dailySpend / 1_900_000).toBeCloseTo(1, 1);
  });

  test('that is seldom spent holds nothing', () => {
    const rich = proposeBids(someTargets([sells], { campaigns: [campaign(20_000_000)] }), settings());
    expect(rich.columns.held[0]).toBe(1);
  });

  test('that runs out on some days hides clicks: the flow is that of the other days', () => {
    const one = someTargets([{ ...sells, clicks: 6 }], { campaigns: [campaign(2_400_000)] });
    // On every fourth day the budget was gone after half of the clicks, each at twice the cost.
    const isShort = (age: number) => age % 4 === 0;
    const { days, placements } = one;
    days.clicks.set(days.age.map((age) => (isShort(age) ? 3 : 6)));
    const spend = Float64Array.from(days.age, (age) => (isShort(age) ? 2_400_000 : 1_800_000));
    placements.spend.set(spend);
    expect(prepareBids(one).exposures.flow[0]).toBeCloseTo(6, 6);
  });
});

describe('modifiers', () => {
  /** Half of the clicks at the top of search, where they sell six times as well. */
  function sellsOnTop(over: Partial<BidObservations['campaigns'][number]> = {}) {
    const observations = someTargets([{ clicks: 10, orders: 60 }], {
      campaigns: [{ budget: null, modifiers: [0, 0, 0], ...over }],
    });
    const { placements } = observations;
    placements.placement = placements.placement.map((_, at) => (at % 2 === 0 ? 0 : 1));
    placements.orders = placements.orders.map((_, at) => (at % 2 === 0 ? 12 : 2));
    return observations;
  }

  test('are raised where a placement sells better, the base bid makes up for it, and no bid there moves by more than a quarter', () => {
    const [{ placement, from, to }, ...others] = proposeBids(sellsOnTop(), settings()).modifiers;
    expect([placement, from, others]).toEqual([0, 0, []]);
    // Half of the clicks are at the top: base bids give way by 1 / (1 + to / 2).
    const base = 1 / (1 + to / 2);
    expect(Math.abs(Math.log(base))).toBeCloseTo(Math.log(1.25), 1);
    expect(Math.log((1 + to) * base)).toBeLessThanOrEqual(Math.log(1.25) + 0.01);
  });

  test('are raises over what stays fixed: with rest of search fixed the worse product pages do not count', () => {
    const observations = sellsOnTop();
    const { placements } = observations;
    placements.placement = placements.age.map((age) => age % 3);
    placements.orders = Float64Array.from(placements.placement, (placement) => [6, 4, 1][placement]);
    const to = (modifiers: [boolean, boolean, boolean]) => {
      // Many rounds on the same figures: where the raise ends.
      let now: [number, number, number] = [0, 0, 0];
      for (let round = 0; round < 20; round += 1) {
        observations.campaigns[0].modifiers = now;
        const next = [...now];
        for (const one of proposeBids(observations, settings({ modifiers })).modifiers)
          next[one.placement] = one.to;
        now = next as typeof now;
      }
      return now[0];
    };
    expect(to([true, false, true])).toBeCloseTo(0.5, 1);
    expect(to([true, true, true])).toBeGreaterThan(2);
    expect(USUAL_SETTINGS.modifiers).toEqual([true, true, true]);
  });

  test('that were lower on earlier days count as lower bids: those clicks were cheap, and more would come now', () => {
    const steady = prepareBids(sellsOnTop({ modifiers: [1, 0, 0] })).exposures;
    const raised = prepareBids({
      ...sellsOnTop({ modifiers: [1, 0, 0] }),
      earlierModifiers: [{ campaign: 0, age: 6, modifiers: [0, 0, 0] }],
    }).exposures;
    expect(raised.flow[0]).toBeGreaterThan(steady.flow[0] * 1.2);
    expect(raised.cpc[0]).toBeGreaterThan(steady.cpc[0] * 1.1);
  });
});

describe('what is usual', () => {
  const priors = (list: [exposure: number, orders: number][]) =>
    priorsOf(someTargets(list.map(() => ({}))), {
      exposure: Float64Array.from(list, ([exposure]) => exposure),
      orders: Float64Array.from(list, ([, orders]) => orders),
      sales: new Float64Array(list.length),
    }).mean;

  test('is what most targets do: one with many clicks tells of itself, not of its group', () => {
    const thin = Array.from({ length: 40 }, (_, at) => [50, at % 2 === 0 ? 2 : 3] as [number, number]);
    const alone = priors(thin)[0];
    const withThick = priors([...thin, [20_000, 4000]])[0];
    // By sums the group would convert 19 %.
    expect(alone).toBeCloseTo(0.05, 2);
    expect(withThick).toBeLessThan(0.08);
  });
});

describe('kappa', () => {
  test('tells how far the estimates of the days before were off in the four weeks since', () => {
    const observations = someTargets([{ clicks: 40, orders: 240 }]);
    const { days } = observations;
    expect(prepareBids(observations).kappa).toBeCloseTo(1, 1);
    days.orders = days.orders.map((orders, row) => (days.age[row] < 28 ? orders / 2 : orders));
    days.sales = days.sales.map((sales, row) => (days.age[row] < 28 ? sales / 2 : sales));
    const { kappa } = prepareBids(observations);
    expect(kappa).toBeGreaterThan(0.5);
    expect(kappa).toBeLessThan(0.75);
  });
});

test('cuts in a campaign that runs dry lose no sales: its budget pays for more of the clicks that get cheaper', () => {
  const dear = { clicks: 20, orders: 20, cpc: 1.2 };
  const at = (budget: number | null) =>
    proposeBids(someTargets([dear], { campaigns: [{ budget, modifiers: [0, 0, 0] }] }), settings())
      .proposals[0];
  const [free, dry] = [at(null), at(8_000_000)];
  expect(free.to).toBeLessThan(free.from);
  expect(free.freed).toEqual({ clicks: 0, spend: 0, sales: 0 });
  expect(free.after.sales).toBeLessThan(free.now.sales);
  expect(dry.to).toBeLessThan(dry.from);
  expect(dry.after.sales).toBeGreaterThan(dry.now.sales);
  // Its money is spent as before: on more clicks.
  expect(dry.after.spend).toBeLessThanOrEqual(dry.now.spend + 1);
  expect(monthAtBid(dry, dry.to).sales).toBeCloseTo(dry.after.sales, 3);
  expect(monthAtBid(dry, dry.from).sales).toBeCloseTo(dry.now.sales, 3);
});
