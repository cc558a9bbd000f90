import { DAYS_PER_MONTH } from '../units';
import type { Pool } from './pools';

/** One measured target: its figures, and the pool that says what would have come. */
export interface Unit {
  pool: Pool;
  days: number;
  margin: number | null;
  spendBefore: number;
  spendAfter: number;
  salesBefore: number;
  salesAfter: number;
}

/** How a pool went by itself: after over before. */
export interface Growth {
  spend: number;
  sales: number;
}

/** How a pool went, and what one of it spends and sells before, on average. */
interface KnownGrowth extends Growth {
  usualSpend: number;
  usualSales: number;
}

const sum = (numbers: number[]) => numbers.reduce((total, one) => total + one, 0);

const known = new WeakMap<Pool, KnownGrowth>();

/** How a pool went; worked out once. */
export function growthOf(pool: Pool): KnownGrowth {
  let growth = known.get(pool);
  if (!growth) {
    const [spend, sales] = [sum(pool.spendBefore), sum(pool.salesBefore)];
    growth = {
      spend: over(sum(pool.spendAfter), spend),
      sales: over(sum(pool.salesAfter), sales),
      usualSpend: spend / pool.spendBefore.length,
      usualSales: sales / pool.salesBefore.length,
    };
    known.set(pool, growth);
  }
  return growth;
}

/** After over before. A pool that had nothing before says nothing: as if it had stayed. */
export const over = (after: number, before: number) => (before > 0 ? after / before : 1);

/** What measured targets came to, against what would have come. */
export interface Outcome {
  /** After over what would have come. */
  spend: number;
  sales: number;
  profit: number;
  hasMargin: boolean;
}

/** What targets came to, over what they would have come to had they gone as their pools. */
export function outcomeOf(units: readonly Unit[], growthIn: (pool: Pool) => Growth): Outcome {
  let [spend, spendWithout, sales, salesWithout, profit] = [0, 0, 0, 0, 0];
  let hasMargin = false;
  for (const unit of units) {
    const went = growthIn(unit.pool);
    const [spendElse, salesElse] = [unit.spendBefore * went.spend, unit.salesBefore * went.sales];
    spend += unit.spendAfter;
    spendWithout += spendElse;
    sales += unit.salesAfter;
    salesWithout += salesElse;
    if (unit.margin === null) continue;
    hasMargin = true;
    const gained = unit.margin * (unit.salesAfter - salesElse) - (unit.spendAfter - spendElse);
    profit += (gained / unit.days) * DAYS_PER_MONTH;
  }
  return {
    spend: spendWithout > 0 ? spend / spendWithout : NaN,
    sales: salesWithout > 0 ? sales / salesWithout : NaN,
    profit,
    hasMargin,
  };
}
