import { addDays, dayNumber } from '../../core/units';
import type { Day } from '../../core/units';
import { FACTS, REPORT_KINDS } from '../../contract/facts';
import type { ReportKind } from '../../contract/facts';
import type { SyncDay } from '../../db/queries/syncDays';

/** One report to ask for. */
export interface Order {
  kind: ReportKind;
  from: Day;
  to: Day;
}

/** Days whose orders are still coming in, and that are asked for anew each time. */
export const LATE_DAYS = 14;
/**
 * The reports that bring an account up to date: every day that is not here whole yet, and the last days again, whose
 * orders are still coming in. Days that follow each other are asked for together.
 * @param first first day that the market has @param today the market's present day, which is not over
 */
export function planOrders(known: SyncDay[], first: Day, today: Day): Order[] {
  const asOf = new Map(known.map(({ kind, day, asOf: on }) => [`${kind} ${day}`, on]));
  const count = dayNumber(today) - dayNumber(first);
  const days = Array.from({ length: Math.max(0, count) }, (_, at) => addDays(first, at));
  const isDue = (kind: ReportKind, day: Day) => {
    const on = asOf.get(`${kind} ${day}`);
    if (on === undefined) return true;
    return FACTS[kind].isLate && on < today && dayNumber(on) - dayNumber(day) <= LATE_DAYS;
  };
  return REPORT_KINDS.flatMap((kind) =>
    together(
      kind,
      days.filter((day) => isDue(kind, day)),
    ),
  );
}

function together(kind: ReportKind, days: Day[]): Order[] {
  const orders: Order[] = [];
  for (const day of days) {
    const last = orders.at(-1);
    const follows = last !== undefined && addDays(last.to, 1) === day;
    if (follows && dayNumber(day) - dayNumber(last.from) < FACTS[kind].daysAtOnce) last.to = day;
    else orders.push({ kind, from: day, to: day });
  }
  return orders;
}

/** Days between the first and last that a kind should have and has not. */
export function missingDays(known: SyncDay[], kind: ReportKind, first: Day, today: Day): Day[] {
  const here = new Set(known.filter((one) => one.kind === kind).map(({ day }) => day));
  const count = dayNumber(today) - dayNumber(first);
  return Array.from({ length: Math.max(0, count) }, (_, at) => addDays(first, at)).filter(
    (day) => !here.has(day),
  );
}
