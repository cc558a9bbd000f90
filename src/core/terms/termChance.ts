import { chanceToReach, neededConversion, orderValueOf } from '../evidence';
import { measure } from '../measures';
import type { Micros } from '../units';
import { sumsOfRow } from './termTable';
import type { TermContext } from './termContext';

/** What a click of a row's term costs: in the window, or where it had none, on all days that count. Null for no click. Micros. */
export function costPerClick({ table, judged }: TermContext, row: number): Micros | null {
  const cpc = measure('cpc');
  return cpc.of(sumsOfRow(table, row)) ?? cpc.of(sumsOfRow(judged, row));
}

/**
 * Conversion that a row's term needs to cost `acos` of its sales: CPC / (acos x order value). Null without a cost per click, or where
 * nothing sold.
 * @param acos share
 */
export function neededFor(context: TermContext, row: number, acos: number): number | null {
  const cpc = costPerClick(context, row);
  const value = orderValueOf(sumsOfRow(context.judged, row), context.usual(row));
  if (cpc === null || cpc === 0 || value === null || value <= 0 || acos <= 0) return null;
  return neededConversion(cpc, acos, value);
}

/** Probability that a row's term costs at most `acos` of its sales: that its conversion reaches what it needs. Null where that is not known. */
export function chanceWithin(context: TermContext, row: number, acos: number): number | null {
  const needed = neededFor(context, row, acos);
  const { clicks, orders } = context.judged;
  return needed === null ? null : chanceToReach(needed, clicks[row], orders[row], context.prior(row));
}

/** Without a margin a term has to miss the target by half before it is said not to pay. */
const OVER_TARGET = 1.5;

/** What is left of a sale before ads: the product's margin, or where that is not known, one and a half times the target ACOS. Share. */
export function marginOr(context: TermContext, row: number, targetAcos: number): number {
  return context.margin(row) ?? OVER_TARGET * targetAcos;
}

/** Whether a row's term cost less than its target, or than break-even, on the last 30, 60 or 90 settled days. @param targetAcos share */
export function paysSomewhere(context: TermContext, row: number, targetAcos: number): boolean {
  const limit = Math.max(targetAcos, context.margin(row) ?? 0);
  const stretches = context.table.history?.recent ?? [context.table];
  return stretches.some(({ spend, sales }) => sales[row] > 0 && spend[row] <= limit * sales[row]);
}
