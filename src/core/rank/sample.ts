import { isPlace } from './panel';
import type { RankPanel } from './panel';

/** Days after which an order may first move a rank: 0 is the day after the order, 14 the longest that is tried. */
export const LONGEST_LAG = 14;

/** A rank this good can hardly get better: what orders do there is not seen. */
const AT_THE_TOP = 2;

/**
 * What is compared: every step of a rank from one day to the next, with the rank it started at and the ad orders of the days before, each less what is
 * usual of its pair and of its day (two-way differences: pairs without more orders tell what happened anyway).
 */
export interface RankSample {
  pair: Int32Array;
  /** Change of the logarithm of the rank from a day to the next. */
  step: Float64Array;
  /** Logarithm of the rank at the start. */
  start: Float64Array;
  /** Ad orders by lag. */
  orders: Float64Array[];
}

/** @param from first day of the steps, counted in the panel; steps need the orders of `LONGEST_LAG` days before them */
export function sampleOf({ pairs, days, rank, orders }: RankPanel, from: number, to: number): RankSample {
  const at: number[] = [];
  for (let pair = 0; pair < pairs; pair += 1)
    for (let day = Math.max(from, LONGEST_LAG); day < Math.min(to, days - 1); day += 1) {
      const cell = pair * days + day;
      if (rank[cell] > AT_THE_TOP && isPlace(rank[cell + 1])) at.push(cell);
    }
  const column = (value: (cell: number) => number) => Float64Array.from(at, value);
  const sample: RankSample = {
    pair: Int32Array.from(at, (cell) => Math.floor(cell / days)),
    step: column((cell) => Math.log(rank[cell + 1] / rank[cell])),
    start: column((cell) => Math.log(rank[cell])),
    orders: Array.from({ length: LONGEST_LAG + 1 }, (_, lag) => column((cell) => orders[cell - lag])),
  };
  const day = Int32Array.from(at, (cell) => cell % days);
  for (const values of [sample.step, sample.start, ...sample.orders])
    takeMeansOut(values, [
      [sample.pair, pairs],
      [day, days],
    ]);
  return sample;
}

/** Rounds of taking means out, one way after the other: where no cell is missing the first is exact. */
const ROUNDS = 6;

function takeMeansOut(values: Float64Array, ways: [of: Int32Array, groups: number][]): void {
  for (let round = 0; round < ROUNDS; round += 1)
    for (const [of, groups] of ways) {
      const sums = new Float64Array(groups);
      const counts = new Float64Array(groups);
      for (let row = 0; row < values.length; row += 1) {
        sums[of[row]] += values[row];
        counts[of[row]] += 1;
      }
      for (let row = 0; row < values.length; row += 1) values[row] -= sums[of[row]] / counts[of[row]];
    }
}
