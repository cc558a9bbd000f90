import { describe, expect, test } from 'vitest';
import { settings, someTargets } from '../../../tests/make/bids';
import { USUAL_LIMITS } from '../changes';
import { prepareBids } from '../bids';
import {
  budgetReason,
  findDry,
  HOURS,
  missedSales,
  moneyGoal,
  paidOf,
  planBudgets,
  spendSd,
  strongTarget,
} from '.';
import type { BudgetCampaign, BudgetTotal, CampaignDays, SpendingTarget } from '.';

/** The same numbers each time: a test that fails fails again. */
function chances(seed: number) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);

/** Days of campaigns: clicks an hour, up to the hour at which money ran out. Each click costs 0.50. */
function daysOf(campaigns: { perHour: number; until: (age: number) => number }[], days = 60): CampaignDays {
  const rows = campaigns.flatMap(({ perHour, until }, campaign) =>
    Array.from({ length: days }, (_, age) => ({ campaign, age, perHour, until: until(age) })),
  );
  return {
    campaign: rows.map((one) => one.campaign),
    age: rows.map((one) => one.age),
    clicks: rows.map((one) => one.perHour * one.until),
    byHour: Array.from({ length: HOURS }, (_, hour) =>
      sum(rows.map((one) => (hour < one.until ? one.perHour : 0))),
    ),
    hours: hoursOf(
      rows
        .filter(({ age }) => age < 28)
        .flatMap(({ campaign, age, perHour, until }) =>
          Array.from({ length: until }, (_, hour) => ({ campaign, age, hour, clicks: perHour })),
        ),
    ),
  };
}

const hoursOf = (rows: { campaign: number; age: number; hour: number; clicks: number }[]) => ({
  campaign: rows.map((one) => one.campaign),
  age: rows.map((one) => one.age),
  hour: rows.map((one) => one.hour),
  clicks: rows.map((one) => one.clicks),
  spend: rows.map((one) => one.clicks * 500_000),
});
const [never, all] = [() => false, () => true];
const always = () => 24;

describe('a campaign that ran dry', () => {
  test('is found with the hour, and what it missed is what the same hours bring elsewhere', () => {
    // Every fourth day the second campaign’s 12 were gone at noon; the first never runs out, nor does the second on other days.
    const hours = daysOf([
      { perHour: 10, until: always },
      { perHour: 2, until: (age) => (age % 4 === 0 ? 12 : 24) },
    ]);
    const { profile, campaigns } = findDry(
      hours,
      2,
      (campaign, age) => (campaign === 0 ? 1e9 : age % 4 === 0 ? 12e6 : 30e6),
      never,
    );
    expect(campaigns[0].dry).toEqual([]);
    const { dry, days, openDays, usual } = campaigns[1];
    expect([days, dry.length]).toEqual([28, 7]);
    expect(dry.map(({ from }) => from)).toEqual(new Array(7).fill(11.5));
    // Clicks fall alike on all hours: the afternoons missed 24 each, and a little for the hour in which it stopped.
    expect(profile.upTo(12)).toBeCloseTo(0.5, 1);
    for (const { missed } of dry) expect(missed).toBeGreaterThan(21);
    for (const { missed } of dry) expect(missed).toBeLessThan(28);
    expect(openDays).toBeCloseTo(24.5, 0);
    expect(usual).toBeCloseTo(48, -1);
  });

  test('is judged by the budget of that day, not by today’s', () => {
    const hours = daysOf([{ perHour: 2, until: (age) => (age >= 10 ? 12 : 24) }]);
    const today = findDry(hours, 1, () => 30e6, never).campaigns[0];
    const thatDay = findDry(hours, 1, (_, age) => (age >= 10 ? 12e6 : 30e6), never).campaigns[0];
    expect(today.dry).toEqual([]);
    expect(thatDay.dry.map(({ age }) => age)).toEqual(Array.from({ length: 18 }, (_, at) => at + 10));
  });

  test('on a day without hours is not guessed at', () => {
    expect(findDry(daysOf([{ perHour: 2, until: always }], 5), 1, () => 1e6, never).campaigns[0].days).toBe(
      5,
    );
  });

  test('missed sales whose interval is the narrower the more is known', () => {
    const days = (count: number) =>
      Array.from({ length: count }, (_, age) => ({ age, from: 12, clicks: 20, missed: 20 }));
    const [few, many] = [missedSales(days(2), 3e6, 5, 2, 40), missedSales(days(20), 3e6, 200, 2, 900)];
    expect(few.sales).toBe(2 * 20 * 3e6);
    for (const one of [few, many]) {
      expect(one.low).toBeLessThan(one.sales);
      expect(one.high).toBeGreaterThan(one.sales);
    }
    expect(many.high / many.low).toBeLessThan(few.high / few.low);
    expect(missedSales([], 3e6, 5, 2, 0).sales).toBe(0);
  });

  test('by a market that spreads its budget over the day is known by the hours in which it did not stop it', () => {
    const chance = chances(5);
    const poisson = (mean: number) => {
      let count = 0;
      for (let product = chance(); product > Math.exp(-mean); product *= chance()) count += 1;
      return count;
    };
    // 2 clicks an hour are to be had, and the budget pays for 30 a day: the market stops it whenever spend is ahead of the clock.
    const budget = 15e6;
    const rows = Array.from({ length: 28 }, (_, age) => {
      let spent = 0;
      return Array.from({ length: HOURS }, (__, hour) => {
        let clicks = 0;
        for (let asked = poisson(2); asked > 0; asked -= 1)
          if (spent <= 1.1 * budget * ((hour + 1) / HOURS) && spent + 5e5 <= budget) {
            clicks += 1;
            spent += 5e5;
          }
        return { campaign: 0, age, hour, clicks };
      });
    }).flat();
    const came = sum(rows.map(({ clicks }) => clicks));
    const flat = { perHour: 100, until: always };
    const account = daysOf([{ perHour: 0, until: always }, flat]);
    const days = { ...account, hours: hoursOf(rows) };
    for (let row = 0; row < 28; row += 1)
      (days.clicks as number[])[row] = sum(rows.filter(({ age }) => age === row).map(({ clicks }) => clicks));
    const [paced] = findDry(days, 2, (campaign) => (campaign === 0 ? budget : 1e12), all).campaigns;
    expect(paced.isLeast).toBe(false);
    expect(paced.dry.length).toBeGreaterThan(25);
    expect(paced.dry[0].from).toBeNull();
    const truth = 28 * 48 - came;
    const missed = sum(paced.dry.map((one) => one.missed));
    expect(missed / truth).toBeGreaterThan(0.75);
    expect(missed / truth).toBeLessThan(1.3);
  });

  test('whose budget pays for next to nothing is told to have missed at least something, and no more', () => {
    const hours = daysOf([
      { perHour: 100, until: always },
      { perHour: 2, until: () => 1 },
    ]);
    const [, poor] = findDry(hours, 2, (campaign) => (campaign === 0 ? 1e12 : 1e6), never).campaigns;
    expect([poor.dry.length, poor.isLeast]).toEqual([28, true]);
  });
});

test('a budget lets through all of what is far below it, itself of what is far above, and less than both between', () => {
  expect(paidOf(100e6, 10e6, 5e5) / 10e6).toBeCloseTo(1, 6);
  expect(paidOf(10e6, 100e6, 5e5) / 10e6).toBeCloseTo(1, 3);
  const between = paidOf(10e6, 10e6, 5e5);
  expect(between).toBeLessThan(10e6);
  expect(between).toBeCloseTo(10e6 - spendSd(10e6, 5e5) / Math.sqrt(2 * Math.PI), -1);
});

test('a month that spent too much has less a day left, within bounds', () => {
  expect(moneyGoal(10e6, 150e6, 15)).toBe(10e6);
  expect(moneyGoal(10e6, 120e6, 15)).toBe(8e6);
  expect([moneyGoal(10e6, -50e6, 10), moneyGoal(10e6, 900e6, 10)]).toEqual([6e6, 14e6]);
});

describe('budgets as one plan with the bids', () => {
  const campaign = (budget: number) => ({ budget, modifiers: [0, 0, 0] as [number, number, number] });
  /** Two campaigns that sell alike: the first is stopped by its budget, the second has money idle. */
  const uneven = (budgets: [number, number], over: { orders?: number } = {}) =>
    prepareBids({
      ...someTargets(
        [
          { clicks: 20, orders: over.orders ?? 120, cpc: 0.5, campaign: 0 },
          { clicks: 20, orders: over.orders ?? 120, cpc: 0.5, campaign: 1 },
        ],
        { campaigns: budgets.map(campaign) },
      ),
      openDays: Float64Array.of(14, 28),
    });
  const none = findDry(daysOf([]), 2, () => null, never);
  const plan = (
    budgets: [number, number],
    total: BudgetTotal = { means: 'sum stays', sum: sum(budgets) },
    over: Partial<BudgetCampaign>[] = [],
    limits = USUAL_LIMITS,
  ) =>
    planBudgets(
      uneven(budgets),
      settings(),
      budgets.map((budget, at) => ({ budget, isRunning: true, locked: null, ...over[at] })),
      total,
      none,
      limits,
    );

  test('in a currency without cents budgets stand on whole units, and keep their sum', () => {
    const budgets: [number, number] = [10_300_000, 90_700_000];
    const { proposals } = plan(budgets, undefined, [], { ...USUAL_LIMITS, bidStep: 1_000_000 });
    expect(proposals.map(({ to }) => to! % 1_000_000)).toEqual([0, 0]);
    expect(proposals[0].to).not.toBe(budgets[0]);
    expect(sum(proposals.map(({ to }) => to!))).toBeLessThanOrEqual(sum(budgets));
  });

  test('money goes from where it lies idle to where clicks are missed, and sells more', () => {
    const { proposals, total } = plan([10e6, 90e6]);
    const [dry, idle] = proposals;
    // Twice what it was is as far as a round goes.
    expect(dry.to).toBe(20e6);
    expect(idle.to).toBe(80e6);
    expect(total.after).toBe(total.before);
    expect(sum(proposals.map(({ after, now }) => after.sales - now.sales))).toBeGreaterThan(0);
  });

  test('a campaign that is locked keeps what it was given, and the other gives way', () => {
    const { proposals, total } = plan([10e6, 90e6], { means: 'sum stays', sum: 100e6 }, [{ locked: 15e6 }]);
    expect(proposals[0].to).toBe(15e6);
    expect(total.after).toBeLessThanOrEqual(total.before);
  });

  test('a campaign whose bids hold its spend gets a budget high above it, and the others share what it leaves', () => {
    const { proposals, total } = plan([10e6, 90e6], { means: 'sum stays', sum: 100e6 }, [
      {},
      { byBids: 60e6 },
    ]);
    expect(proposals[1].to).toBe(120e6);
    expect(proposals[0].to).toBe(20e6);
    expect(total.limit).toBe(40e6);
    expect(budgetReason(proposals[1])).toContain('Its bids are to hold its spend at 60.00 a day');
    expect(proposals[1].after.spend).toBeLessThanOrEqual(60e6 * 31);
  });

  test('what does not run, and what has a budget for its lifetime, is left as it is', () => {
    const { proposals, total } = plan([10e6, 90e6], { means: 'sum stays', sum: 100e6 }, [
      { isRunning: false },
      { budget: null },
    ]);
    expect(proposals.map(({ left, to }) => [left, to])).toEqual([
      ['not running', null],
      ['no daily budget', null],
    ]);
    expect(total.before).toBe(0);
  });

  test('as money budgets may come to more than it, while bids go no higher than it pays for', () => {
    const money = (daily: number) => plan([10e6, 20e6], { means: 'money', daily, goal: daily, over: 1.25 });
    const [tight, ample] = [money(15e6), money(500e6)];
    expect(tight.share).toBeLessThan(1);
    expect(ample.share).toBe(1);
    expect(tight.total.after).toBeLessThanOrEqual(15e6 * 1.25);
    expect(sum(tight.proposals.map(({ demand }) => demand))).toBeLessThanOrEqual(15e6);
    expect(sum(ample.proposals.map(({ demand }) => demand))).toBeGreaterThan(15e6);
  });
});

describe('a target that takes most of the budget it shares', () => {
  const target = (id: number, over: Partial<SpendingTarget> = {}): SpendingTarget => ({
    id,
    canMove: true,
    orders: 20,
    spend: 2e6,
    rpc: 4e6,
    cpc: 5e5,
    targetAcos: 0.24,
    ...over,
  });
  const of = (over: Partial<SpendingTarget>, dryShare = 0) =>
    strongTarget([target(1, { spend: 8e6, ...over }), target(2), target(3)], dryShare, 15e6, 1e6);

  test('gets one of its own by its need, and leaves the others what it does not take', () => {
    const { id, share, acos, budget, leaves } = of({})!;
    expect([id, acos]).toEqual([1, 0.125]);
    expect(share).toBeCloseTo(8 / 12, 12);
    expect(budget).toBeGreaterThan(8e6);
    expect(leaves).toBe(7e6);
  });

  test.each<[string, Partial<SpendingTarget>, number, boolean]>([
    ['is over its target', { rpc: 1e6 }, 0, false],
    ['has hardly sold', { orders: 3 }, 0, false],
    ['cannot be told of alone', { canMove: false }, 0, false],
    ['takes a third', { spend: 2.2e6 }, 0, false],
    ['takes a third, and its campaign often runs dry', { spend: 2.2e6 }, 0.4, true],
  ])('or not: one that %s', (_, over, dryShare, is) => {
    expect(of(over, dryShare) !== null).toBe(is);
  });

  test('is none where it stands alone', () => {
    expect(strongTarget([target(1)], 1, 15e6, 1e6)).toBeNull();
  });
});
