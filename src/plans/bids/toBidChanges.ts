import { bidReason, BID_STEPS, proposalAt, reasonContext, testAt } from '../../core/bids';
import type { PlanColumns } from '../../core/bids';
import { sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import { formatMoney } from '../../core/units';
import type { ChangeFigures, NewChange } from '../../contract/changes';
import type { BidQueue } from '../../contract/review';
import type { BidAct, BidEdits } from './bidEdits';

/** Why a row's bid is proposed as it is. */
export function reasonOf(plan: PlanColumns, table: LensTable, row: number): string {
  const why = bidReason(proposalAt(plan, row), reasonContext(plan, row, table.margin[row]));
  const [from, stands] = [plan.from[row], standing(table, row, plan.from[row])];
  return from === stands
    ? why
    : `${why} Counted from ${formatMoney(from)}, where the modifiers in the tray bring its bid from ${formatMoney(stands)}.`;
}

/** The bid that the market has; the plan starts from what the modifiers in the tray make of it. */
const standing = ({ value }: LensTable, row: number, from: number): number =>
  Number.isNaN(value[row]) ? from : value[row];

/** The change that an act makes; null where it changes nothing. */
export function toBidChange(
  act: BidAct,
  plan: PlanColumns,
  table: LensTable,
  edits: BidEdits,
  step: BidQueue,
): NewChange | null {
  const { row, targetId, isPause, from, to, now, after } = act;
  if (!isPause && from === to) return null;
  const { clicks, orders, spend, sales } = sumsAt(table.now, row);
  const isEdited = edits.has(targetId);
  const own = BID_STEPS[plan.step[row]];
  const figures: ChangeFigures = {
    step: own === 'none' ? step : own,
    clicks,
    orders,
    spend,
    sales,
    targetAcos: table.targetAcos[row],
    ...(own === 'test' && { testCost: Math.round(testAt(plan, row)!.cost) }),
  };
  return {
    change: isPause
      ? { kind: 'set-state', entity: 'target', id: targetId, from: 'enabled', to: 'paused' }
      : { kind: 'set-bid', targetId, from: standing(table, row, from), to },
    reason: `${isEdited ? 'Edited by hand. ' : ''}${reasonOf(plan, table, row)}`.slice(0, 1000),
    figures,
    effect: {
      spend: Math.round(after.spend - now.spend),
      sales: Math.round(after.sales - now.sales),
    },
  };
}
