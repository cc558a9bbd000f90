import { BEYOND, isPlace } from './panel';
import { DAYS_OF_MONTH, ordersAt } from './organicShare';
import type { OrganicShare } from './organicShare';
import { moveOf, ORDERS_MORE } from './rankEffect';
import type { RankEffect } from './rankEffect';

/** What is known of a product's term, for what its rank is worth. */
export interface Worth {
  rank: number | null;
  weeklySearches: number;
  /** Ad orders a week. */
  ordersAWeek: number;
  /** Share of clicks that order, shrunk; and what a click costs (micros); null where it was never clicked. */
  conversion: number;
  clickPrice: number | null;
  /** Sales of an order (micros); null where none is known. */
  orderValue: number | null;
}

/** What a rank brings and costs. Money in micros a month, all of it expected; null where the account's figures cannot say. */
export interface RankWorth {
  /** Sales without ads that the rank brings. */
  organic: number | null;
  /** Of these, what would be lost in eight weeks without its ad orders. */
  holds: number | null;
  /** What half the rank number (twice as far up) would cost in more ad spend, and what it would add in sales without ads. */
  gainCost: number | null;
  gains: number | null;
}

/** @param deepest the worst rank that was told: a rank that falls further is beyond the last page */
export function rankWorth(
  { rank, weeklySearches, ordersAWeek, conversion, clickPrice, orderValue }: Worth,
  share: OrganicShare,
  effect: RankEffect,
  deepest: number,
): RankWorth {
  if (rank === null || orderValue === null)
    return { organic: null, holds: null, gainCost: null, gains: null };
  const salesAt = (at: number) => ordersAt(share, at, weeklySearches, conversion) * orderValue;
  const organic = salesAt(rank);
  if (effect.verdict !== 'known' || !isPlace(rank))
    return { organic, holds: null, gainCost: null, gains: null };
  const without = rank * Math.exp(-moveOf(effect, ordersAWeek));
  const holds = organic - salesAt(without > deepest ? BEYOND : without);
  const better = Math.max(1, rank / 2);
  const orders = (ORDERS_MORE * Math.log(rank / better)) / -effect.move;
  const cost =
    clickPrice === null || conversion <= 0
      ? null
      : (((orders * DAYS_OF_MONTH) / 7) * clickPrice) / conversion;
  return {
    organic,
    holds,
    gainCost: better < rank ? cost : null,
    gains: better < rank ? salesAt(better) - organic : null,
  };
}

/** Clicks that the usual conversion counts for, beside a term's own. */
const PRIOR_ORDERS = 3;

/** Conversion of a term, shrunk toward its product's. @param usual of the product, above 0 */
export const shrunkConversion = (clicks: number, orders: number, usual: number): number =>
  usual > 0 ? (orders + PRIOR_ORDERS) / (clicks + PRIOR_ORDERS / usual) : 0;
