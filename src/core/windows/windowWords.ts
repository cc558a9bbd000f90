import { addDays, isDay } from '../units';
import type { Day } from '../units';
import type { Window } from './settledWindow';

/** A window in words ends with the last settled day. */
export const SETTLED = 'settled';
const LAST = /^last([1-9]\d{0,2})$/;

/** The first end of a window in words: so many days that end with the last settled one. @param days 1 to 999 */
export const lastDays = (days: number): string => `last${days}`;

/** How many days the first end of a window in words asks for; null for a day. */
export function daysOfWords(from: string): number | null {
  const parts = LAST.exec(from);
  return parts ? Number(parts[1]) : null;
}

/** The days of a window that is told in days, or in words ("last60" to "settled"). @param settledTo the last settled day */
export function daysOfWindow(from: string, to: string, settledTo: Day): { from: Day; to: Day } {
  const end = to === SETTLED ? settledTo : to;
  const days = daysOfWords(from);
  return { from: days === null ? from : addDays(end, 1 - days), to: end };
}

/** A span of days as one word, for an address: "2026-09-01..2026-09-30". */
export const writeSpan = ({ from, to }: Window): string => `${from}..${to}`;

/** The span that a word says; null for no such word, or one that ends before it begins. */
export function readSpan(text: string | null | undefined): Window | null {
  const [from, to, ...rest] = (text ?? '').split('..');
  if (rest.length > 0 || to === undefined || !isDay(from) || !isDay(to) || from > to) return null;
  return { from, to };
}
