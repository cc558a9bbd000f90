import type { Micros } from '../units';

/** A target that was raised to find out what it is worth, and what it did since. Money in micros. */
export interface Tested {
  /** Its bid before the first test, and as it stands; null: not known. */
  before: Micros | null;
  now: Micros | null;
  isRunning: boolean;
  /** Of the settled days since the first test. */
  clicks: number;
  spend: Micros;
  orders: number;
  sales: Micros;
  /** Left of a price before ads, share; null: not known. */
  margin: number | null;
  targetAcos: number;
}

/** good: proven since, and on target. given up: paused, or bid no more than before. open: neither yet. */
export type TestOutcome = 'good' | 'given up' | 'open';

/** What became of a test. @param provenOrders orders that prove a target */
export function outcomeOf(
  { before, now, isRunning, spend, orders, sales, targetAcos }: Tested,
  provenOrders: number,
): TestOutcome {
  if (!isRunning || (before !== null && now !== null && now <= before)) return 'given up';
  return orders >= provenOrders && sales > 0 && spend / sales <= targetAcos ? 'good' : 'open';
}

/** What tests bought together. Money in micros; profit after ads null where the margin of one is not known. */
export interface Bought {
  tried: number;
  spend: Micros;
  sales: Micros;
  profit: Micros | null;
}

/** What tests of one outcome, or all, came to since. */
export function boughtBy(tests: readonly Tested[]): Bought {
  const sum = (of: (one: Tested) => number) => tests.reduce((all, one) => all + of(one), 0);
  return {
    tried: tests.length,
    spend: sum(({ spend }) => spend),
    sales: sum(({ sales }) => sales),
    profit: tests.some(({ margin }) => margin === null)
      ? null
      : sum(({ margin, sales, spend }) => margin! * sales - spend),
  };
}
