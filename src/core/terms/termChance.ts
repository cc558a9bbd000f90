import { chanceToReach } from '../evidence';
import { measure } from '../measures';
import { sumsOfRow } from './termTable';
import type { TermContext } from './termContext';

/** Orders at what is usual that are added to a term's own when its order value is judged. */
const VALUE_ORDERS = 5;

/** What an order of a row's term brings, with what is usual in its campaign; null where nothing sold. Micros. */
function orderValueOf({ table, usual }: TermContext, row: number): number | null {
  const value = usual(row).orderValue;
  return value === null
    ? null
    : (table.sales[row] + VALUE_ORDERS * value) / (table.orders[row] + VALUE_ORDERS);
}

/**
 * Probability that a row's term costs at most `acos` of its sales: that its conversion reaches CPC / (acos x order value). Null without a cost
 * per click, or where nothing sold.
 * @param acos share
 */
export function chanceWithin(context: TermContext, row: number, acos: number): number | null {
  const sums = sumsOfRow(context.table, row);
  const cpc = measure('cpc').of(sums);
  const value = orderValueOf(context, row);
  if (cpc === null || cpc === 0 || value === null || value <= 0 || acos <= 0) return null;
  return chanceToReach(cpc / (acos * value), sums.clicks, sums.orders, context.prior(row));
}

/** Without a margin a term has to miss the target by half before it is said not to pay. */
const OVER_TARGET = 1.5;

/** What is left of a sale before ads: the product's margin, or where that is not known, one and a half times the target ACOS. Share. */
export function marginOr(context: TermContext, row: number, targetAcos: number): number {
  return context.margin(row) ?? OVER_TARGET * targetAcos;
}
