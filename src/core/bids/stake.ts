import type { Micros } from '../units';
import { CPC_ELASTICITY } from './exposures';
import type { BidStep, Month } from './proposal';

/**
 * Money at stake in a month, by which a step is ordered. Dead spend: what is spent on it. Overpaying: what is spent above
 * the target. Room to grow: the sales that are to be won. Micros.
 * @param targetAcos share
 */
export function stakeOf(step: BidStep, now: Month, after: Month, targetAcos: number): number {
  switch (step) {
    case 'dead':
      return now.spend;
    case 'over':
      return Math.max(0, now.spend - targetAcos * now.sales);
    case 'grow':
    case 'test':
      return after.sales - now.sales;
    case 'none':
      return 0;
  }
}

/** What many months come to. Micros; profit null where no margin is known. */
export interface MonthTotal extends Month {
  profit: number | null;
}

/** Adds months up; the profit is of those whose margin is known (share, NaN where not). */
export class MonthSum {
  private readonly sum: Month = { clicks: 0, spend: 0, sales: 0 };
  private profit: number | null = null;

  add({ clicks, spend, sales }: Month, margin: number): void {
    this.sum.clicks += clicks;
    this.sum.spend += spend;
    this.sum.sales += sales;
    if (!Number.isNaN(margin)) this.profit = (this.profit ?? 0) + margin * sales - spend;
  }

  get total(): MonthTotal {
    return { ...this.sum, profit: this.profit };
  }
}

/**
 * What is expected of another bid than the planned one, from what was expected of that: sales ~ bid, spend ~ bid to the 1.8
 * (see monthAt). Micros a month.
 */
export function effectAtBid(
  planned: { spend: Micros; sales: Micros },
  { from, to, next }: { from: Micros; to: Micros; next: Micros },
): { spend: Micros; sales: Micros } {
  if (from <= 0 || to === from) return planned;
  const part = (power: number) => ((next / from) ** power - 1) / ((to / from) ** power - 1);
  return {
    spend: Math.round(planned.spend * part(1 + CPC_ELASTICITY)),
    sales: Math.round(planned.sales * part(1)),
  };
}
