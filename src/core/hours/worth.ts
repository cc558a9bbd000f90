import type { HourCells } from './cells';
import type { Rhythm } from './rhythm';

/** What bids by the hour would bring, as far as it can be told. */
export interface HoursWorth {
  /** Orders that it is told from. */
  orders: number;
  /** Share of sales that bids in proportion to the hours' factors are expected to gain at the same ACOS. */
  gain: number;
  /** The least gain that is worth a schedule on so many orders. */
  least: number;
  isWorthIt: boolean;
}

/** Of what moving bids could gain, so much is reached: clicks answer to bids, and prices with them. */
const REACHED = 0.85;
const LEAST_ORDERS = 300;
const SURE_ORDERS = 1000;
const LEAST_GAIN = { sure: 0.01, unsure: 0.015 };

/**
 * What a schedule that follows the factors would gain: 0.85 x the variance of ln m over clicks. It is worth it from 1 % on, on at least 300 orders; from
 * 1.5 % on under 1,000.
 */
export function hoursWorth({ orders, clicks }: HourCells, { factor }: Rhythm): HoursWorth {
  const sum = (of: (cell: number) => number) => {
    let all = 0;
    for (let cell = 0; cell < clicks.length; cell += 1) all += of(cell);
    return all;
  };
  const known = sum((cell) => orders[cell]);
  const all = sum((cell) => clicks[cell]);
  const log = (cell: number) => Math.log(factor[cell]);
  const mean = all > 0 ? sum((cell) => clicks[cell] * log(cell)) / all : 0;
  const variance = all > 0 ? sum((cell) => clicks[cell] * (log(cell) - mean) ** 2) / all : 0;
  const least = known < SURE_ORDERS ? LEAST_GAIN.unsure : LEAST_GAIN.sure;
  const gain = REACHED * variance;
  return { orders: known, gain, least, isWorthIt: known >= LEAST_ORDERS && gain >= least };
}
