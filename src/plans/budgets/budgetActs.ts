import type { ChangeFigures, NewChange } from '../../contract/changes';
import { budgetReason } from '../../core/budgets';
import { sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import type { BudgetRow } from './types';

/** The step whose changes these are, as changes name it. */
export const BUDGET_STEP = 'budgets';

/** What a row is ordered by: the sales of a month that another budget wins, or gives up for others. Micros. */
export const budgetStake = ({ left, now, after }: BudgetRow): number =>
  left !== null ? 0 : after.sales - now.sales;

/** Whether another budget is proposed for a row. */
export const isMoved = ({ left, from, to }: BudgetRow): boolean =>
  left === null && to !== null && to !== from;

/** The changes of some rows: each budget that moves. */
export const budgetChanges = (
  rows: readonly BudgetRow[],
  table: LensTable,
  at: readonly number[],
): NewChange[] =>
  at.flatMap((row) => {
    const own = rows[row];
    const { campaignId, stands, to, now, after, isLocked } = own;
    if (to === null || stands === null || to === stands) return [];
    const { clicks, orders, spend, sales } = sumsAt(table.now, row);
    const figures: ChangeFigures = {
      step: BUDGET_STEP,
      clicks,
      orders,
      spend,
      sales,
      targetAcos: table.targetAcos[row],
    };
    return [
      {
        change: { kind: 'set-budget' as const, campaignId, from: stands, to },
        reason: `${isLocked ? 'Set by hand. ' : ''}${budgetReason(own)}`,
        figures,
        effect: {
          spend: Math.round(after.spend - now.spend),
          sales: Math.round(after.sales - now.sales),
        },
      },
    ];
  });
