import type { Day } from '../units';
import type { Window } from './settledWindow';
import { cutsNone, windowBeforeSums } from './summed';

/** A window that another one is compared with. */
export interface ComparedWindow extends Window {
  /** Whether the data reach back to its first day, and no sum is cut: else its figures are those of other days, and nothing is compared. */
  isCovered: boolean;
}

/** What an account has of days: its first one with data (null for none), and what came summed over several. */
export interface DataDays {
  firstDay: Day | null;
  sums: readonly Window[];
}

/** The window just before another one, or a chosen one, and whether the data cover it. */
export function comparedWindow(
  window: Window,
  { firstDay, sums }: DataDays,
  chosen: Window | null = null,
): ComparedWindow {
  const before = chosen ?? windowBeforeSums(window, sums);
  return { ...before, isCovered: firstDay !== null && firstDay <= before.from && cutsNone(before, sums) };
}
