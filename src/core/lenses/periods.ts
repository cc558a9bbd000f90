import { addDays, dayNumber, formatDay } from '../units';
import type { Day } from '../units';
import type { Window } from '../windows';
import type { SumColumns } from './sumColumns';

/** Steps in which days can be taken together. */
export const PERIOD_STEPS = ['week', 'month'] as const;
export type PeriodStep = (typeof PERIOD_STEPS)[number];

/** What some rows of a lens came to in each period; one entry for each row and period with figures. Weeks and months together are cut by both. */
export interface RowPeriods {
  /** The days that are looked at: the first and last period may be cut by them. */
  window: Window;
  /** Row of the table, and first day of the period, by entry. */
  row: Int32Array;
  start: Day[];
  sums: SumColumns;
}

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/** The days of a period that lie in a window. @param start Monday of a week, or first of a month */
export function daysOfPeriod(start: Day, step: PeriodStep, window: Window): Window {
  const end = step === 'week' ? addDays(start, 6) : lastOfMonth(start);
  return { from: start < window.from ? window.from : start, to: end > window.to ? window.to : end };
}

/** What a period is called: "5 Oct – 11 Oct"; "Oct 2026", or its days where the window cuts it. */
export function nameOfPeriod(start: Day, step: PeriodStep, window: Window): string {
  const { from, to } = daysOfPeriod(start, step, window);
  if (step === 'month' && from === start && to === lastOfMonth(start))
    return `${MONTHS[Number(start.slice(5, 7)) - 1]} ${start.slice(0, 4)}`;
  return from === to ? formatDay(from) : `${formatDay(from)} – ${formatDay(to)}`;
}

function lastOfMonth(first: Day): Day {
  const [year, month] = [Number(first.slice(0, 4)), Number(first.slice(5, 7))];
  const next = month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
  return addDays(next, -1);
}

/** First day of the period that a day lies in. Weeks begin on Monday (ISO 8601). */
export function startOfPeriod(day: Day, step: PeriodStep): Day {
  // 1 January 1970 was a Thursday.
  return step === 'month' ? `${day.slice(0, 8)}01` : addDays(day, -((dayNumber(day) + 3) % 7));
}
