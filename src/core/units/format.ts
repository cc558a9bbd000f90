import { currencyDecimals, MICROS_PER_UNIT } from './money';
import type { Micros } from './money';
import type { Day } from './day';

/** What stands where a ratio has no denominator. */
export const DASH = '–';

/** How figures are written: one way at a time, the reader's. */
let locale = 'en-GB';
const writers = new Map<number, Intl.NumberFormat>();

/**
 * From now on figures are written as in a locale: its marks for decimals and groups. @param tag a BCP 47 language tag; an unknown one is
 * as "en-GB"
 */
export function writeNumbersAs(tag: string): void {
  locale = isKnown(tag) ? tag : 'en-GB';
  writers.clear();
}

function isKnown(tag: string): boolean {
  try {
    return Intl.NumberFormat.supportedLocalesOf(tag).length > 0;
  } catch {
    return false;
  }
}

/** A figure with so many digits behind the mark, in the reader's way. @param decimals 0 to 6 */
export function formatNumber(value: number, decimals: number): string {
  let writer = writers.get(decimals);
  if (!writer) {
    writer = new Intl.NumberFormat(locale, {
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    writers.set(decimals, writer);
  }
  const text = writer.format(value);
  // A true minus, as wide as a digit; and nothing rounded away has a sign.
  return value < 0 ? text.replace('-', /[1-9]/.test(text) ? '−' : '') : text;
}

/** The reader's decimal mark. */
export function decimalMark(): string {
  return (
    new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.'
  );
}

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A whole number with thousands separators. */
export function formatCount(value: number): string {
  return formatNumber(value, 0);
}

/** So many of something: "1 click", "2 clicks". */
export const counted = (count: number, noun: string): string =>
  `${formatCount(count)} ${noun}${count === 1 ? '' : 's'}`;

/** The currency of the money that is shown, by its ISO 4217 code; undefined while nobody has told one. */
let moneyCurrency: () => string | undefined = () => undefined;

/** Two where no currency is told. */
function moneyDecimals(): number {
  const currency = moneyCurrency();
  return currency === undefined ? 2 : currencyDecimals(currency);
}

/** From now on money is written with the decimals of a currency: 12.30 EUR, 1,230 JPY. @param currency its ISO 4217 code */
export const showMoneyIn = (currency: string): void => showMoneyBy(() => currency);

/** The same where several accounts are served at once. @param currency asked at every amount; undefined: not known */
export function showMoneyBy(currency: () => string | undefined): void {
  moneyCurrency = currency;
}

/** Money with its currency's decimals and no sign: the unit stands in the heading. */
export function formatMoney(micros: Micros | null): string {
  return micros === null ? DASH : formatNumber(micros / MICROS_PER_UNIT, moneyDecimals());
}

/** Money with the decimals of its own currency, where several stand side by side. @param currency its ISO 4217 code */
export const formatMoneyOf = (micros: Micros, currency: string): string =>
  formatNumber(micros / MICROS_PER_UNIT, currencyDecimals(currency));

/** Decimals that a step of money needs, its currency's at least: 10_000 -> 2, 5_000 -> 3. @param step micros */
export function decimalsOf(step: Micros): number {
  let digits = moneyDecimals();
  while (digits < 6 && (step * 10 ** digits) % MICROS_PER_UNIT !== 0) digits += 1;
  return digits;
}

/** Money that stands on a step, with as many decimals as the step has. @param step micros */
export function formatOnStep(micros: Micros, step: Micros): string {
  return formatNumber(micros / MICROS_PER_UNIT, decimalsOf(step));
}

/** A share (0.24) as per cent with the given decimals ("24.0 %"), or a dash. */
export function formatShare(share: number | null, decimals = 1): string {
  return share === null ? DASH : `${formatNumber(share * 100, decimals)} %`;
}

/** The year that goes without saying; null while nobody has told it. */
let ownYear: string | null = null;

/** From now on days of the year of `today` are shown without it, and others with it. */
export function showDaysFrom(today: Day): void {
  ownYear = today.slice(0, 4);
}

/** A day with its year, "21 Oct 2026": in sentences that are kept. */
export function formatFullDay(day: Day): string {
  return `${Number(day.slice(8, 10))} ${months[Number(day.slice(5, 7)) - 1]} ${day.slice(0, 4)}`;
}

/** A day as "21 Oct", or "21 Oct 2025" where it is of another year than today. @param today the day that was told last, by itself */
export function formatDay(day: Day, today?: Day): string {
  const year = day.slice(0, 4);
  const full = formatFullDay(day);
  return year === (today?.slice(0, 4) ?? ownYear ?? year) ? full.slice(0, -5) : full;
}
