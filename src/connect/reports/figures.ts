import { signsOf } from './currency';

/** Which mark stands before the decimals in a file. */
export type DecimalMark = '.' | ',';

/** How the figures of a file are written. */
export interface Notation {
  mark: DecimalMark;
  /** Whether the file (or somebody) told the mark: else "3,441" may be either, and is refused. */
  isSure: boolean;
  /** The account's currency: its signs may stand beside an amount, those of another one may not. */
  currency: string;
}

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
export function parseCount(text: string, label: string, notation: Notation): number | Fault {
  const quick = plainDigits(text, 0, text.length);
  if (quick >= 0) return quick;
  const figure = readFigure(text, label, notation, false);
  if (figure === null) return 0;
  if ('reason' in figure) return figure;
  // "1.000" may be a thousand: only a count with one or two zeros behind the point is surely whole.
  if (!/^0{0,2}$/.test(figure.decimals))
    return { reason: `${label} is not a whole number (${shorten(text)}).` };
  return figure.whole > LARGEST_COUNT
    ? { reason: `${label} is too large (${shorten(text)}).` }
    : figure.whole;
}

/** How a report may say that a term was looked for and not found on any page. */
const BEYOND = /^(-|–|n\/?a|not (ranked|found)|unranked|beyond the last page)$/i;

/** A place in a list, 1 the first; 0 for one beyond the last page: empty, 0, or words that say so. */
export function parseRank(text: string, label: string, notation: Notation): number | Fault {
  return BEYOND.test(text.trim()) ? 0 : parseCount(text, label, notation);
}

/** How the figures of a unit are read. */
export const FIGURE_READERS = { count: parseCount, amount: parseAmount, rank: parseRank };

/** An amount of zero or more, in micros. The account's currency may stand beside it; empty counts as 0. */
export function parseAmount(text: string, label: string, notation: Notation): number | Fault {
  const quick = notation.mark === '.' && notation.isSure ? plainAmount(text) : -1;
  if (quick >= 0) return quick;
  const figure = readFigure(text, label, notation, true);
  if (figure === null) return 0;
  if ('reason' in figure) return figure;
  const { whole, decimals } = figure;
  if (whole > LARGEST_AMOUNT) return { reason: `${label} is too large (${shorten(text)}).` };
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

const MINUS = /^[-−–]|[-−–]$/;
/** What may stand beside the digits of an amount: a sign or a few letters, and nothing else. */
const BESIDE = /^(?<before>\p{Sc}|[\p{L}]{1,3}\p{Sc}?)?\s*(?<body>.*?)\s*(?<after>\p{Sc}|\p{L}{1,3})?$/u;

/**
 * The whole part and the decimals of a text that is surely a figure; null for an empty one. A range, a share, an abbreviated thousand, a
 * bound: whatever is no plain figure is refused, never read as the digits that stand in it.
 */
function readFigure(
  text: string,
  label: string,
  { mark, isSure, currency }: Notation,
  isAmount: boolean,
): { whole: number; decimals: string } | Fault | null {
  let bare = text.trim();
  if (bare === '') return null;
  const unreadable = {
    reason: `${label} is ${isAmount ? 'not an amount' : 'not a whole number'} (${shorten(text)}).`,
  };
  const inBrackets = /^\((.+)\)$/.exec(bare);
  if (inBrackets) bare = inBrackets[1].trim();
  let isNegative = inBrackets !== null;
  const takeSign = () => {
    if (MINUS.test(bare)) isNegative = true;
    bare = bare.replace(MINUS, '').replace(/^\+/, '').trim();
  };
  takeSign();
  if (isAmount) {
    const { before, body, after } = BESIDE.exec(bare)?.groups ?? {};
    const sign = (before ?? after)?.trim();
    if (before && after) return unreadable;
    if (sign !== undefined) {
      // "3abc" is no currency, and "2 mio" none either: those are no figures at all.
      if (!signsOf(currency).has(sign.toUpperCase()))
        return isCurrency(sign) ? foreign(label, sign, currency) : unreadable;
      bare = (body ?? '').trim();
      takeSign();
    }
  }
  const digits = plainText(bare, mark, isSure);
  if (digits === null) return unreadable;
  if (digits === 'either')
    return {
      reason: `${label} can be read in two ways (${shorten(text)}): thousands or decimals. Say which the file has.`,
    };
  if (isNegative && /[1-9]/.test(digits)) return { reason: `${label} is negative (${text.trim()}).` };
  const [whole, decimals = ''] = digits.split('.');
  return { whole: Number(whole || 0), decimals };
}

const isCurrency = (sign: string) =>
  /\p{Sc}/u.test(sign) ||
  Intl.supportedValuesOf('currency').includes(sign.toUpperCase()) ||
  /^(kr|zł|kč|lei|ft)$/i.test(sign);

const foreign = (label: string, sign: string, currency: string): Fault => ({
  reason: `${label} is in ${sign}; the account is in ${currency}.`,
});

const GROUPS = String.raw`[\s\u00a0\u202f'’]`;

/** Digits with a decimal point; null where the text is no plain figure, 'either' where its mark may part thousands or decimals. */
function plainText(bare: string, mark: DecimalMark, isSure: boolean): string | null {
  if (!isSure && /^\d{1,3}[.,]\d{3}$/.test(bare) && !bare.startsWith('0')) return 'either';
  const [own, other] = mark === '.' ? ['\\.', ','] : [',', '\\.'];
  if (new RegExp(`^(\\d+(${own}\\d*)?|${own}\\d+)$`).test(bare)) return bare.replace(mark, '.');
  for (const group of [other, GROUPS])
    if (new RegExp(`^\\d{1,3}(${group}\\d{3})+(${own}\\d*)?$`).test(bare))
      return bare.replace(new RegExp(group, 'g'), '').replace(mark, '.');
  return null;
}

/**
 * The decimal mark of a file, from sample values of its amount columns. "1.234,5" and "3,5" tell a comma,
 * "1,234.5" and "3.5" a point; "1,234" alone tells nothing. Without any telling value: a comma where
 * columns are parted by semicolons, else a point, and it is not sure.
 * @returns with a value that can be read either way, where nothing else tells
 */
export function findDecimalMark(
  samples: readonly string[],
  delimiter: string,
): { mark: DecimalMark; isSure: boolean; either: string | null } {
  let [points, commas] = [0, 0];
  let either: string | null = null;
  for (const sample of samples) {
    const bare = sample.replace(/[^\d.,]/g, '');
    const lastPoint = bare.lastIndexOf('.');
    const lastComma = bare.lastIndexOf(',');
    if (lastPoint >= 0 && lastComma >= 0) lastPoint > lastComma ? (points += 1) : (commas += 1);
    else if (lastPoint >= 0 && tellsDecimals(bare, '.')) points += 1;
    else if (lastComma >= 0 && tellsDecimals(bare, ',')) commas += 1;
    else if (lastPoint >= 0 || lastComma >= 0) {
      // Of several groups of three, "1.234.567", the mark parts thousands.
      const own = lastPoint >= 0 ? '.' : ',';
      if (bare.split(own).length > 2) own === '.' ? (commas += 1) : (points += 1);
      else either ??= sample.trim();
    }
  }
  if (points !== commas) return { mark: points > commas ? '.' : ',', isSure: true, either: null };
  return { mark: delimiter === ';' ? ',' : '.', isSure: points > 0, either };
}

function tellsDecimals(bare: string, mark: string): boolean {
  const parts = bare.split(mark);
  return (
    parts.length === 2 &&
    (parts[1].length !== 3 || parts[0] === '0' || parts[0] === '' || parts[0].length > 3)
  );
}

/** A text cut to what fits a sentence. */
export function shorten(text: string): string {
  const bare = text.trim();
  return bare.length > 40 ? `${bare.slice(0, 39)}…` : bare;
}
