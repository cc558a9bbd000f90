import { dayOf, isRealDay } from '../../core/units';
import type { Day } from '../../core/units';

/** Which mark stands before the decimals in a file. */
export type DecimalMark = '.' | ',';

const LARGEST_COUNT = 2_147_483_647;
/** Largest amount taken, in currency units: more in one row of one day can only be a mistake. */
const LARGEST_AMOUNT = 1_000_000_000;

/** Why a text cannot be a value. */
export interface Fault {
  reason: string;
}

const ZERO = 48;
const POINT = 46;

/** Value of a text of one to nine digits, -1 for any other: the quick way for nearly every figure. */
function plainDigits(text: string, from: number, to: number): number {
  if (to === from || to - from > 9) return -1;
  let value = 0;
  for (let at = from; at < to; at += 1) {
    const digit = text.charCodeAt(at) - ZERO;
    if (digit < 0 || digit > 9) return -1;
    value = value * 10 + digit;
  }
  return value;
}

/** A count of zero or more; thousands may be grouped. Empty counts as 0. */
export function parseCount(text: string, label: string, mark: DecimalMark): number | Fault {
  const quick = plainDigits(text, 0, text.length);
  if (quick >= 0) return quick;
  const plain = ungroup(text, mark);
  if (plain === '') return 0;
  if (plain.startsWith('-')) return { reason: `${label} is negative (${text.trim()}).` };
  if (!/^\d+(\.0+)?$/.test(plain)) return { reason: `${label} is not a whole number (${shorten(text)}).` };
  const value = Number(plain);
  return value > LARGEST_COUNT ? { reason: `${label} is too large (${shorten(text)}).` } : value;
}

/** An amount of zero or more, in micros. Currency signs and grouping are taken off; empty counts as 0. */
export function parseAmount(text: string, label: string, mark: DecimalMark): number | Fault {
  const quick = mark === '.' ? plainAmount(text) : -1;
  if (quick >= 0) return quick;
  const plain = ungroup(text, mark);
  if (plain === '') return 0;
  if (plain.startsWith('-') && Number(plain) !== 0)
    return { reason: `${label} is negative (${text.trim()}).` };
  const parts = /^-?(\d+)(?:\.(\d*))?$/.exec(plain) ?? /^()\.(\d+)$/.exec(plain);
  if (!parts) return { reason: `${label} is not an amount (${shorten(text)}).` };
  const whole = Number(parts[1] || 0);
  if (whole > LARGEST_AMOUNT) return { reason: `${label} is too large (${shorten(text)}).` };
  const decimals = parts[2] ?? '';
  // Digits are put together as text: 0.1 + 0.2 must not become 0.30000000000000004 micros.
  const micros = whole * 1_000_000 + Number(decimals.slice(0, 6).padEnd(6, '0'));
  return Number(decimals[6] ?? 0) >= 5 ? micros + 1 : micros;
}

const TENS = [1_000_000, 100_000, 10_000, 1_000, 100, 10, 1];

/** Micros of "12" or "12.34", -1 for anything that needs a closer look. */
function plainAmount(text: string): number {
  const point =
    text.length > 2 && text.charCodeAt(text.length - 3) === POINT ? text.length - 3 : text.indexOf('.');
  if (point < 0) {
    const whole = plainDigits(text, 0, text.length);
    return whole < 0 ? -1 : whole * 1_000_000;
  }
  const places = text.length - point - 1;
  const whole = plainDigits(text, 0, point);
  const decimals = places <= 6 ? plainDigits(text, point + 1, text.length) : -1;
  return whole < 0 || decimals < 0 ? -1 : whole * 1_000_000 + decimals * TENS[places];
}

const OUTSIDE_DIGITS = /^[^\d.,-]+|[^\d.,]+$/g;

/** Figures without signs and grouping, with a decimal point. Returns the text itself where it makes no sense. */
function ungroup(text: string, mark: DecimalMark): string {
  let bare = text.trim();
  const inBrackets = /^\((.*)\)$/.exec(bare);
  if (inBrackets) bare = `-${inBrackets[1]}`;
  bare = bare.replace(/[\s\u00a0\u202f'’]/g, '').replace('−', '-');
  const negative = bare.startsWith('-') || /^[^\d.,]*-/.test(bare);
  bare = bare.replace(/-/g, '').replace(OUTSIDE_DIGITS, '');
  if (bare === '') return text.trim();
  const group = mark === '.' ? ',' : '.';
  if (bare.includes(group)) {
    const grouped = new RegExp(`^\\d{1,3}(\\${group}\\d{3})+(\\${mark}\\d*)?$`);
    if (!grouped.test(bare)) return text.trim();
    bare = bare.split(group).join('');
  }
  return (negative ? '-' : '') + bare.replace(mark, '.');
}

/**
 * The decimal mark of a file, from sample values of its amount columns. "1.234,5" and "3,5" tell a comma,
 * "1,234.5" and "3.5" a point; "1,234" alone tells nothing. Without any telling value: a comma where
 * columns are parted by semicolons, else a point.
 */
export function findDecimalMark(samples: string[], delimiter: string): DecimalMark {
  let points = 0;
  let commas = 0;
  for (const sample of samples) {
    const bare = sample.replace(/[^\d.,]/g, '');
    const lastPoint = bare.lastIndexOf('.');
    const lastComma = bare.lastIndexOf(',');
    if (lastPoint >= 0 && lastComma >= 0) lastPoint > lastComma ? (points += 1) : (commas += 1);
    else if (lastPoint >= 0 && tellsDecimals(bare, '.')) points += 1;
    else if (lastComma >= 0 && tellsDecimals(bare, ',')) commas += 1;
  }
  if (points !== commas) return points > commas ? '.' : ',';
  return delimiter === ';' ? ',' : '.';
}

function tellsDecimals(bare: string, mark: string): boolean {
  const parts = bare.split(mark);
  return parts.length === 2 && (parts[1].length !== 3 || parts[0] === '0' || parts[0].length > 3);
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * A day: ISO (2026-11-05, 2026/11/05, 20261105, with or without a time), day first (5.11.2026, 05/11/2026,
 * 5-11-26), or with the month's English name (5 Nov 2026, Nov 5, 2026).
 */
export function parseDay(text: string): Day | Fault {
  const bare = text.trim();
  if (bare === '') return { reason: 'The day is missing.' };
  const iso = /^(\d{4})([-/.]?)(\d{2})\2(\d{2})(?:[T ].*)?$/.exec(bare);
  if (iso) return realDay(Number(iso[1]), Number(iso[3]), Number(iso[4]), bare);
  const dayFirst = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})(?:[ T].*)?$/.exec(bare);
  if (dayFirst) return realDay(fullYear(dayFirst[3]), Number(dayFirst[2]), Number(dayFirst[1]), bare);
  const named = /^(\d{1,2})[ -]([a-z]{3})[a-z]*[ -](\d{4})$/i.exec(bare);
  if (named) return realDay(Number(named[3]), monthOf(named[2]), Number(named[1]), bare);
  const monthFirst = /^([a-z]{3})[a-z]* (\d{1,2}),? (\d{4})$/i.exec(bare);
  if (monthFirst) return realDay(Number(monthFirst[3]), monthOf(monthFirst[1]), Number(monthFirst[2]), bare);
  return { reason: `The day cannot be read (${shorten(text)}); write 2026-11-05 or 05.11.2026.` };
}

function realDay(year: number, month: number, day: number, text: string): Day | Fault {
  if (isRealDay(year, month, day)) return dayOf(year, month, day);
  const hint = month > 12 && day <= 12 ? ' Days are read day first.' : '';
  return { reason: `There is no such day (${text}).${hint}` };
}

const fullYear = (text: string) => (text.length === 2 ? 2000 + Number(text) : Number(text));
const monthOf = (name: string) => MONTHS.indexOf(name.toLowerCase()) + 1;

/** A text cut to what fits a sentence. */
export function shorten(text: string): string {
  const bare = text.trim();
  return bare.length > 40 ? `${bare.slice(0, 39)}…` : bare;
}
