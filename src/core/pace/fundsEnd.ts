import { addDays } from '../units';
import type { Day, Micros } from '../units';

/** How long prepaid money lasts at the present rate. */
export interface FundsEnd {
  /** Spend of a day on average, micros. */
  perDay: Micros;
  /** The day on which it is gone, and the 80 % interval of it. */
  on: Day;
  earliest: Day;
  latest: Day;
}

/** Days that the rate is from. */
export const RATE_DAYS = 28;
/** Half the width of an 80 % interval, in standard deviations. */
export const Z80 = 1.2816;
/** Nobody looks further ahead, days. */
const FAR = 3650;

/**
 * When prepaid money runs out: after n days with n x mean = money; the interval from the spread s of a day's spend over 28 days, n x mean
 * +- 1.28 (s sqrt(n) + n s / sqrt(28)) = money. Null without any spend, or where it lasts ten years.
 * @param amounts spend by day, micros @param last last day with data; what is left was read after it
 */
export function fundsEnd(amounts: ReadonlyMap<Day, Micros>, last: Day, funds: Micros): FundsEnd | null {
  const { mean, spread } = rateOf(amounts, last, RATE_DAYS);
  if (mean <= 0) return null;
  const lasts = (z: number) => {
    for (let n = 1; n <= FAR; n += 1)
      if (n * mean + z * (spread * Math.sqrt(n) + (n * spread) / Math.sqrt(RATE_DAYS)) >= funds) return n;
    return FAR;
  };
  const middle = lasts(0);
  if (middle >= FAR) return null;
  return {
    perDay: mean,
    on: addDays(last, middle),
    earliest: addDays(last, lasts(Z80)),
    latest: addDays(last, lasts(-Z80)),
  };
}

/** Spend of a day on average, and what days vary by; a day without a row spent nothing. Micros. @param count so many days, at least 2 */
export function rateOf(
  amounts: ReadonlyMap<Day, Micros>,
  last: Day,
  count: number,
): { mean: Micros; spread: Micros } {
  const days = Array.from({ length: count }, (_, back) => amounts.get(addDays(last, -back)) ?? 0);
  const mean = days.reduce((sum, one) => sum + one, 0) / count;
  return { mean, spread: Math.sqrt(days.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (count - 1)) };
}
