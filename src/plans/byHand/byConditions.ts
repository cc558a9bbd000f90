import type { FieldSumsAnswer } from '../../contract/api';
import type { NewChange } from '../../contract/changes';
import type { MarketLimits } from '../../core/changes';
import { readAnyOf } from '../../core/conditions';
import type { Stack } from '../../core/conditions';
import { sumsAt } from '../../core/lenses';
import type { Sums } from '../../core/measures';
import type { TreeIndex } from '../../core/structure';
import { daysIn } from '../../core/units';
import type { Micros } from '../../core/units';
import { meetRows } from '../field';
import { planMove, planState } from './handChanges';
import { stagedValue } from './staged';
import type { Staged } from './staged';

/** A step by hand that needs no hand: which targets, and what is done with their bids. */
export interface HandRule {
  /** Each as in a link: "acos>=40" (per cent), or several to choose from, parted by "|". */
  conditions: readonly string[];
  /** Share; null: they are paused. */
  percent: number | null;
}

/** What hangs on a plan of the round is not known where conditions stand alone. */
const ofPlan = (field: string) => field.startsWith('plan.') || field === 'judged';

/** The conditions as the tables take them; null where one cannot be understood, or asks what only a plan tells. */
export function readConditions(conditions: readonly string[]): Stack | null {
  const stack = conditions.map(readAnyOf);
  return stack.every((one) => one !== null && !one.some(({ field }) => ofPlan(field)))
    ? (stack as Stack)
    : null;
}

/** What holds for a step by hand beside its conditions. */
export interface HandBounds {
  /** No bid is set lower or higher, micros; null: as the market has it. */
  low: Micros | null;
  high: Micros | null;
  /** Days that a change is left alone for. */
  waitDays: number;
  staged: Staged;
}

/** What it does: how many targets meet its conditions, and the change of each that moves. */
export interface HandPlanned {
  rows: number;
  changes: {
    targetId: number;
    adGroupId: number;
    name: string;
    place: string;
    figures: Sums;
    change: NewChange;
  }[];
}

/**
 * What a step by hand does to the targets that meet all conditions now. What waits in the tray or is under way, and what was changed lately,
 * is left alone; conditions that cannot be understood are met by nothing.
 * @param bounds no bid is set lower or higher; null: as the market has it
 */
export function planByConditions(
  index: TreeIndex,
  sums: FieldSumsAnswer,
  { conditions, percent }: HandRule,
  limits: MarketLimits,
  { low, high, waitDays, staged }: HandBounds,
): HandPlanned {
  const { table, rows } = meetRows('targets', index, sums, readConditions(conditions));
  const days = daysIn(sums.window.from, sums.window.to);
  const own: MarketLimits = {
    ...limits,
    minBid: Math.max(limits.minBid, low ?? 0),
    maxBid: Math.min(limits.maxBid, high ?? limits.maxBid),
  };
  const none = new Map<number, number>();
  const planned = rows.flatMap((row) => {
    if (table.age[row] < waitDays || stagedValue(staged, table, row) !== undefined) return [];
    const list: NewChange[] =
      percent === null
        ? planState(table, [row], 'paused', staged, days)
        : planMove(
            table,
            [row],
            { kind: 'percent', by: percent },
            { limits: own, staged, suggested: none, wanted: none, days, againToo: true },
          ).changes;
    return list.map((change) => ({
      targetId: table.targetId[row],
      adGroupId: table.adGroupId[row],
      name: table.name[row],
      place: table.place[row],
      figures: sumsAt(table.now, row),
      change,
    }));
  });
  return { rows: rows.length, changes: planned };
}
