import { MICROS_PER_UNIT } from './money';
import type { Micros } from './money';
import type { Day } from './day';

/** What stands where a ratio has no denominator. */
export const DASH = '–';

const counts = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 });
const twoDecimals = new Intl.NumberFormat('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 });
const sixDecimals = [0, 1, 2, 3, 4, 5, 6].map(
  (digits) =>
    new Intl.NumberFormat('en-GB', {
      minimumFractionDigits: Math.max(2, digits),
      maximumFractionDigits: Math.max(2, digits),
    }),
);
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A whole number with thousands separators. */
export function formatCount(value: number): string {
  return counts.format(value);
}

/** Money with two decimals and no currency sign: the unit stands in the heading. */
export function formatMoney(micros: Micros | null): string {
  return micros === null ? DASH : twoDecimals.format(micros / MICROS_PER_UNIT);
}

/** Decimals that a step of money needs, two at least: 10_000 -> 2, 5_000 -> 3. @param step micros */
export function decimalsOf(step: Micros): number {
  let digits = 2;
  while (digits < 6 && (step * 10 ** digits) % MICROS_PER_UNIT !== 0) digits += 1;
  return digits;
}

/** Money that stands on a step, with as many decimals as the step has. @param step micros */
export function formatOnStep(micros: Micros, step: Micros): string {
  return sixDecimals[decimalsOf(step)].format(micros / MICROS_PER_UNIT);
}

/** A share (0.24) as per cent with the given decimals ("24.0 %"), or a dash. */
export function formatShare(share: number | null, decimals = 1): string {
  return share === null ? DASH : `${(share * 100).toFixed(decimals)} %`;
}

/** A day as "21 Oct". */
export function formatDay(day: Day): string {
  return `${Number(day.slice(8, 10))} ${months[Number(day.slice(5, 7)) - 1]}`;
}
