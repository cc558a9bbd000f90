import { MOST_RAISE, OFF, PLAIN_WEEK } from '../../../core/schedules';
import type { Week } from '../../../core/schedules';
import { largest, smallest } from '../../../core/order';

const [DAYS, HOURS] = [7, 24];
const MOST_UNDO = 100;

/** A week while it is edited: which hours are chosen, from one corner to the other, and what it was before. */
export interface WeekEdit {
  week: Week;
  anchor: number;
  head: number;
  /** Earlier weeks, the last one last. */
  before: readonly Week[];
  /** Hours of a day that were copied. */
  copied: Week | null;
}

export const editOf = (week: Week = PLAIN_WEEK): WeekEdit => ({
  week,
  anchor: 0,
  head: 0,
  before: [],
  copied: null,
});

/** Whether an hour lies in the rectangle that is chosen. */
export function isChosen({ anchor, head }: WeekEdit, cell: number): boolean {
  const [a, b, c] = [anchor, head, cell].map((one) => [Math.floor(one / HOURS), one % HOURS]);
  const within = (at: 0 | 1) => c[at] >= Math.min(a[at], b[at]) && c[at] <= Math.max(a[at], b[at]);
  return within(0) && within(1);
}

/** The same with other percentages in the hours chosen; within off and the most that is raised. */
export function paint(edit: WeekEdit, to: (percent: number) => number): WeekEdit {
  return changed(
    edit,
    edit.week.map((percent, cell) =>
      isChosen(edit, cell) ? Math.min(MOST_RAISE, Math.max(OFF, Math.round(to(percent)))) : percent,
    ),
  );
}

/** Another week in its place; what was there can be had back. */
export function changed(edit: WeekEdit, week: Week): WeekEdit {
  if (week.every((percent, cell) => percent === edit.week[cell])) return edit;
  return { ...edit, week, before: [...edit.before, edit.week].slice(-MOST_UNDO) };
}

/** What was before the last change. */
export const takenBack = (edit: WeekEdit): WeekEdit =>
  edit.before.length === 0 ? edit : { ...edit, week: edit.before.at(-1)!, before: edit.before.slice(0, -1) };

/** Goes to another hour, around the clock; with `isMore` what is chosen grows to it. */
export function moved(edit: WeekEdit, days: number, hours: number, isMore: boolean): WeekEdit {
  const day = Math.min(DAYS - 1, Math.max(0, Math.floor(edit.head / HOURS) + days));
  const hour = Math.min(HOURS - 1, Math.max(0, (edit.head % HOURS) + hours));
  const head = day * HOURS + hour;
  return { ...edit, head, anchor: isMore ? edit.anchor : head };
}

/** Keeps the hours of the day that is chosen, to lay them on others. */
export function copiedDay(edit: WeekEdit): WeekEdit {
  const start = Math.floor(edit.head / HOURS) * HOURS;
  return { ...edit, copied: edit.week.slice(start, start + HOURS) };
}

/** Lays the hours that were copied on every day that is chosen. */
export function pastedDay(edit: WeekEdit): WeekEdit {
  const { copied, anchor, head } = edit;
  if (copied === null) return edit;
  const days = [anchor, head].map((cell) => Math.floor(cell / HOURS));
  const [first, last] = [smallest(days), largest(days)];
  return changed(
    edit,
    edit.week.map((percent, cell) => {
      const day = Math.floor(cell / HOURS);
      return day >= first && day <= last ? copied[cell % HOURS] : percent;
    }),
  );
}
