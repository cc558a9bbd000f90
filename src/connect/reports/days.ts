import { dayOf, isRealDay } from '../../core/units';
import type { Day } from '../../core/units';
import type { Window } from '../../core/windows';
import { shorten } from './figures';
import type { Fault } from './figures';

/** Whether "05/11/2026" is the fifth of November or the eleventh of May. */
export type DayOrder = 'day-first' | 'month-first';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** A time may follow a day, and nothing else may. */
const TIME = String.raw`(?:[T ,]+\d{1,2}:\d{2}\S*(?: ?[ap]m)?)?`;
const ISO = new RegExp(String.raw`^(\d{4})([-/.]?)(\d{2})\2(\d{2})${TIME}$`, 'i');
const NUMBERS = new RegExp(String.raw`^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})${TIME}$`, 'i');
const NAMED = new RegExp(String.raw`^(\d{1,2})\.?[ -]([a-z]{3})[a-z]*\.?[ -](\d{4})${TIME}$`, 'i');
const MONTH_NAMED = new RegExp(String.raw`^([a-z]{3})[a-z]*\.? (\d{1,2}),? (\d{4})${TIME}$`, 'i');
const RANGE = /^(.*\d)\s*(?:\.\.|\s[-–—]\s|–|—|\sto\s|\suntil\s)\s*([\da-z].*)$/i;

/**
 * A day: ISO (2026-11-05, 2026/11/05, 20261105, with or without a time), in numbers (5.11.2026 always day first; 05/11/2026, 5-11-26 by the
 * order of the file), or with the month's English name (5 Nov 2026, Nov 5, 2026).
 * @param order null: not known; then a day in numbers that fits both ways is refused
 */
export function parseDay(text: string, order: DayOrder | null = 'day-first'): Day | Fault {
  const bare = text.trim();
  if (bare === '') return { reason: 'The day is missing.' };
  const iso = ISO.exec(bare);
  if (iso) return realDay(Number(iso[1]), Number(iso[3]), Number(iso[4]), bare);
  const parts = NUMBERS.exec(bare);
  if (parts) return numberedDay(parts, bare, order);
  const named = NAMED.exec(bare);
  if (named) return realDay(Number(named[3]), monthOf(named[2]), Number(named[1]), bare);
  const monthFirst = MONTH_NAMED.exec(bare);
  if (monthFirst) return realDay(Number(monthFirst[3]), monthOf(monthFirst[1]), Number(monthFirst[2]), bare);
  return { reason: `The day cannot be read (${shorten(text)}); write 2026-11-05 or 05.11.2026.` };
}

/** The days of a text that holds one, or the first and last of some: "2026-10-01 - 2026-10-07", "1 Oct 2026 to 7 Oct 2026". */
export function parseDays(text: string, order: DayOrder | null = 'day-first'): Window | Fault {
  const day = parseDay(text, order);
  if (typeof day === 'string') return { from: day, to: day };
  const range = RANGE.exec(text.trim());
  if (!range) return day;
  const [from, to] = [parseDay(range[1], order), parseDay(range[2], order)];
  if (typeof from !== 'string') return from;
  return typeof to === 'string' ? { from, to } : to;
}

/**
 * The order of a file's days in numbers, from samples of them. "23/11/2026" tells day first, "11/23/2026" month first; points always part days
 * that come first. Both are told where the samples contradict each other; null where nothing tells.
 * @returns with a day that can be read either way, where it matters
 */
export function findDayOrder(samples: readonly string[]): { order: DayOrder | null; either: string | null } {
  let [dayFirst, monthFirst] = [false, false];
  let either: string | null = null;
  for (const sample of samples) {
    for (const one of RANGE.exec(sample.trim())?.slice(1) ?? [sample.trim()]) {
      const parts = NUMBERS.exec(one);
      if (!parts || parts[2] === '.') continue;
      const [a, b] = [Number(parts[1]), Number(parts[3])];
      if (a > 12 && b <= 12) dayFirst = true;
      else if (b > 12 && a <= 12) monthFirst = true;
      else if (a !== b) either ??= one;
    }
  }
  if (dayFirst !== monthFirst) return { order: dayFirst ? 'day-first' : 'month-first', either: null };
  // Where both occur the rows contradict each other: each is told by its line, and none is guessed.
  return { order: null, either };
}

function numberedDay(
  [, first, mark, second, year]: RegExpExecArray,
  text: string,
  order: DayOrder | null,
): Day | Fault {
  const [a, b] = [Number(first), Number(second)];
  const full = year.length === 2 ? 2000 + Number(year) : Number(year);
  const by = mark === '.' ? 'day-first' : order;
  if (by === null && a !== b && a <= 12 && b <= 12)
    return {
      reason: `The day can be read in two ways (${text}): say whether the day or the month comes first.`,
    };
  const isDayFirst = by === null ? b <= 12 : by === 'day-first';
  if (by !== null && (isDayFirst ? b > 12 && a <= 12 : a > 12 && b <= 12))
    return {
      reason: `There is no such day (${text}). Days are read ${isDayFirst ? 'day first' : 'month first'} in this file.`,
    };
  return isDayFirst ? realDay(full, b, a, text) : realDay(full, a, b, text);
}

function realDay(year: number, month: number, day: number, text: string): Day | Fault {
  return isRealDay(year, month, day)
    ? dayOf(year, month, day)
    : { reason: `There is no such day (${text}).` };
}

const monthOf = (name: string) => MONTHS.indexOf(name.toLowerCase()) + 1;
