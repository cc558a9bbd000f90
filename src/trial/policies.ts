import { PACES, proposeBids, USUAL_SETTINGS } from '../core/bids';
import type { BidSettings, Pace } from '../core/bids';
import { DAYS_PER_MONTH, dayNumber } from '../core/units';
import { PLACEMENTS } from '../market/sim';
import type { BidMemory } from './observe';
import { defaultBid, observe } from './observe';
import type { PlayedMarket } from './playedMarket';

/** What decides a market's bids once a week. */
export type Policy = (market: PlayedMarket, memory: BidMemory) => void;

/** Leaves everything as it is. */
export const doNothing = (): Policy => () => {};

/**
 * Mowing's own method, its proposals all accepted.
 * @param targetAcos share; without it the market's own target
 * @param first pace of the first round
 */
export function mowing(
  pace: Pace,
  aim: 'grow' | 'keep profit' | 'strict' = 'grow',
  targetAcos?: number,
  over: Partial<BidSettings> = {},
  first: Pace = pace,
): Policy {
  let isFirst = true;
  let tests: { day: number; cost: number }[] = [];
  return (market, memory) => {
    const { books, scenario } = market;
    const { modifiers } = scenario.options;
    const today = dayNumber(market.today);
    tests = tests.filter(({ day }) => day > today - DAYS_PER_MONTH);
    const used = tests.reduce((sum, { cost }) => sum + cost, 0);
    const seen = observe(market, memory, used);
    const scopes = targetAcos === undefined ? seen.scopes : [{ targetAcos }];
    const plan = proposeBids(
      { ...seen, scopes },
      {
        ...USUAL_SETTINGS,
        step: PACES[isFirst ? first : pace],
        aim,
        limits: scenario.limits,
        modifiers: [modifiers.includes('top'), modifiers.includes('rest'), modifiers.includes('pages')],
        ...over,
      },
    );
    isFirst = false;
    for (const { target, to, from, test } of plan.proposals) {
      if (to !== from) books.targets[target].bid = to;
      if (test && to !== from) tests.push({ day: today, cost: test.cost });
    }
    for (const { campaign, placement, to } of plan.modifiers)
      books.campaigns[campaign].modifiers[PLACEMENTS[placement]] = to;
  };
}

interface Sums {
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
}

/** Sums of each target over its last days, as they are visible: what a spreadsheet is fed with. */
function recentSums(market: PlayedMarket, days: number): Map<string, Sums> {
  const sums = new Map<string, Sums>();
  for (const { targetId, age, clicks, spend, orders, sales } of market.visible()) {
    if (age >= days) continue;
    const sum = sums.get(targetId) ?? { clicks: 0, spend: 0, orders: 0, sales: 0 };
    sum.clicks += clicks;
    sum.spend += spend;
    sum.orders += orders;
    sum.sales += sales;
    sums.set(targetId, sum);
  }
  return sums;
}

const NONE: Sums = { clicks: 0, spend: 0, orders: 0, sales: 0 };

function setBids(market: PlayedMarket, next: (bid: number, id: string) => number): void {
  const { bidStep, minBid, maxBid } = market.scenario.limits;
  for (const target of market.books.targets) {
    const bid = target.bid ?? defaultBid(market, target.adGroupId);
    const wanted = Math.round(next(bid, target.id) / bidStep) * bidStep;
    if (wanted !== bid) target.bid = Math.min(maxBid, Math.max(minBid, wanted));
  }
}

/**
 * A spreadsheet with bands: 30 days, weekly; -10, -10, -7, -4 % one on top of the other above 2.7, 2, 1.33 and 1 x the target, +15 %
 * under 0.75 x with over 2 orders, -30 % where nothing sold and over 15 of currency were spent in 60 days.
 */
export const bands = (): Policy => (market) => {
  const target = market.scenario.targetAcos;
  const [month, two] = [recentSums(market, 30), recentSums(market, 60)];
  setBids(market, (bid, id) => {
    const { spend, sales, orders } = month.get(id) ?? NONE;
    const long = two.get(id) ?? NONE;
    if (long.orders === 0 && long.spend > 15_000_000) return bid * 0.7;
    if (sales === 0) return bid;
    const over = spend / sales / target;
    if (over < 0.75 && orders > 2) return bid * 1.15;
    let next = bid;
    for (const [limit, factor] of [
      [2.7, 0.9],
      [2, 0.9],
      [1.33, 0.93],
      [1, 0.96],
    ])
      if (over > limit) next *= factor;
    return next;
  });
};

/**
 * A spreadsheet with a formula: 30 days, weekly; bid = sales / clicks x target with at least 2 orders and 10 clicks, at most 1.5 x
 * the usual cost per click; nothing sold and over 10 clicks: x 0.8.
 */
export const ratio = (): Policy => (market) => {
  const target = market.scenario.targetAcos;
  const sums = recentSums(market, 30);
  const all = [...sums.values()].reduce(
    (sum, one) => ({ clicks: sum.clicks + one.clicks, spend: sum.spend + one.spend }),
    { clicks: 0, spend: 0 },
  );
  const usual = all.clicks > 0 ? all.spend / all.clicks : Infinity;
  setBids(market, (bid, id) => {
    const { clicks, orders, sales } = sums.get(id) ?? NONE;
    if (orders >= 2 && clicks >= 10) return Math.min(1.5 * usual, (sales / clicks) * target);
    return orders === 0 && clicks > 10 ? bid * 0.8 : bid;
  });
};
