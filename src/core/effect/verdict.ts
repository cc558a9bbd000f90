import { DAYS_PER_MONTH } from '../units';
import { MOST_WEEKS } from './effectFeed';
import type { MadeChange } from './effectFeed';
import type { ExpectedEffect, MeasuredEffect } from './measured';
import type { Unit } from './outcome';

/**
 * What changes were expected to do, of each as much as its targets could be measured. Null where nothing was said.
 * @param measured targets that could be measured, by change
 */
export function expectedOf(
  changes: readonly MadeChange[],
  measured: readonly number[],
  units: readonly Unit[],
): ExpectedEffect | null {
  const sum = { spend: 0, sales: 0 };
  changes.forEach(({ expected, targets }, at) => {
    const share = targets.length > 0 ? measured[at] / targets.length : 0;
    sum.spend += share * expected.spend;
    sum.sales += share * expected.sales;
  });
  if (sum.spend === 0 && sum.sales === 0) return null;
  const before = { spend: 0, sales: 0, known: 0, margin: 0 };
  for (const { spendBefore, salesBefore, margin, days } of units) {
    before.spend += (spendBefore / days) * DAYS_PER_MONTH;
    before.sales += (salesBefore / days) * DAYS_PER_MONTH;
    if (margin === null) continue;
    before.known += 1;
    before.margin += margin;
  }
  const over = (more: number, was: number) => (was > 0 ? more / was : null);
  const [spendChange, salesChange] = [over(sum.spend, before.spend), over(sum.sales, before.sales)];
  return {
    spend: Math.round(sum.spend),
    sales: Math.round(sum.sales),
    profit: before.known === 0 ? null : Math.round((before.margin / before.known) * sum.sales - sum.spend),
    spendChange,
    salesChange,
    acosChange:
      spendChange === null || salesChange === null || salesChange <= -1
        ? null
        : (1 + spendChange) / (1 + salesChange) - 1,
  };
}

/**
 * Judged by profit, or by ACOS where costs are not known: bids that were lowered and took the sales along did not work. Too early until the
 * interval is shorter than what was expected, or four weeks are over.
 */
export function verdictOf(
  { profit, acos, days, expected }: Pick<MeasuredEffect, 'profit' | 'acos' | 'days' | 'expected'>,
  units: readonly Unit[],
): MeasuredEffect['verdict'] {
  if (units.every(({ spendBefore }) => spendBefore === 0)) return 'new';
  const isOver = days >= 7 * MOST_WEEKS;
  // Of an ACOS less is better.
  const better = profit ?? (acos && { low: -acos.high, high: -acos.low });
  if (better === null) return isOver ? 'no clear effect' : 'too early';
  if (better.low > 0) return 'as wanted';
  if (better.high < 0) return 'against';
  const wanted = Math.abs((profit ? expected?.profit : expected?.acosChange) ?? 0);
  const isPrecise = wanted > 0 && better.high - better.low < wanted;
  return isOver || isPrecise ? 'no clear effect' : 'too early';
}
