import type { Micros } from '../units';
import type { DryDay } from './ranDry';

/** Sales that dry days missed, with their 80 % interval. Micros over the days that were looked at. */
export interface MissedSales {
  clicks: number;
  sales: Micros;
  low: Micros;
  high: Micros;
  /** Standard deviation / mean. */
  cv: number;
}

/** Half the width of an 80 % interval, in standard deviations. */
const Z80 = 1.2816;
/** What the profile of hours and the value of a click add to it whatever the clicks. */
const MODEL_CV = 0.4;

/**
 * What dry days missed in sales: missed clicks x sales per click; log-normal with
 * cv^2 = sum [m + m^2 / (n + 25)] / M^2 + 1 / known + 1 / (k + alpha) + 0.5 / N + 0.4^2, m missed and n real clicks of each of N dry days, M their sum.
 * @param rpc sales per click, micros
 * @param known of how many clicks as much is known as of a day that money never holds up
 * @param orders k, that it is known from, and alpha, those that what is usual counts like
 */
export function missedSales(
  dry: readonly DryDay[],
  rpc: Micros,
  orders: number,
  strength: number,
  known: number,
): MissedSales {
  const missed = dry.reduce((sum, one) => sum + one.missed, 0);
  if (missed <= 0) return { clicks: 0, sales: 0, low: 0, high: 0, cv: 0 };
  const clicks = dry.reduce((sum, one) => sum + one.missed + one.missed ** 2 / (one.clicks + 25), 0);
  const variance =
    clicks / missed ** 2 +
    1 / Math.max(1, known) +
    1 / (orders + strength) +
    0.5 / dry.length +
    MODEL_CV ** 2;
  const sd = Math.sqrt(Math.log(1 + variance));
  const sales = missed * rpc;
  // The mean of a log-normal stands above its middle.
  const middle = sales / Math.exp(sd ** 2 / 2);
  return {
    clicks: missed,
    sales,
    low: middle * Math.exp(-Z80 * sd),
    high: middle * Math.exp(Z80 * sd),
    cv: Math.sqrt(variance),
  };
}
