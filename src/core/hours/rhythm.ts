import { HOURS } from '../budgets';
import { CELLS, WEEKDAYS } from './cells';
import type { HourCells } from './cells';
import { priorWeights, shrunk } from './shrink';

/** How well clicks sell by hour of the week, as a factor around 1, with the standard deviation of its logarithm. */
export interface Rhythm {
  weekday: Float64Array;
  hour: Float64Array;
  /** By cell: weekday x hour x what only the two together tell; within 0.5 to 1.5. */
  factor: Float64Array;
  /** By cell, and of weekdays and hours alone. */
  sd: Float64Array;
  weekdaySd: Float64Array;
  hourSd: Float64Array;
}

const ROUNDS = 3;
/** Orders by which weekdays, hours, and the two together are usually held to 1. */
const MEDIANS = { weekday: 100, hour: 60, both: 200 };
/** Hours beside one another sell alike: standard deviations of the kernels, hours. */
const KERNEL = { hour: 1.5, both: 2 };
const [LEAST, MOST] = [0.5, 1.5];
/** How much rates differ is told by blocks of so many hours: single hours of a kernel are not independent. */
const BLOCK = 3;

/**
 * How well clicks sell by hour of the week, shrunk to what is sure. Three rounds: a weekday's factor d from its orders and what was expected of them at the
 * hours' factors; an hour's h the same after a circular Gaussian kernel (sd 1.5 h); what only the two together tell, c, within a weekday (sd 2 h). How far
 * each is held to 1 is read from the data (see priorWeights).
 */
export function rhythmOf({ orders, expected }: HourCells): Rhythm {
  const [weekday, weekdaySd] = [new Float64Array(WEEKDAYS).fill(1), new Float64Array(WEEKDAYS)];
  const [hour, hourSd] = [new Float64Array(HOURS).fill(1), new Float64Array(HOURS)];
  const [both, bothSd] = [new Float64Array(CELLS).fill(1), new Float64Array(CELLS)];
  const part = (of: (cell: number) => number) => Float64Array.from({ length: CELLS }, (_, cell) => of(cell));
  const [day, clock] = [(cell: number) => Math.floor(cell / HOURS), (cell: number) => cell % HOURS];
  for (let round = 0; round < ROUNDS; round += 1) {
    const byDay = sumBy(WEEKDAYS, day);
    learn(
      weekday,
      weekdaySd,
      byDay(orders),
      byDay(part((cell) => expected[cell] * hour[clock(cell)] * both[cell])),
      MEDIANS.weekday,
      1,
      null,
    );
    const byHour = sumBy(HOURS, clock);
    learn(
      hour,
      hourSd,
      byHour(orders),
      byHour(part((cell) => expected[cell] * weekday[day(cell)] * both[cell])),
      MEDIANS.hour,
      BLOCK,
      KERNEL.hour,
    );
    learn(
      both,
      bothSd,
      orders,
      part((cell) => expected[cell] * weekday[day(cell)] * hour[clock(cell)]),
      MEDIANS.both,
      BLOCK,
      KERNEL.both,
    );
  }
  return {
    weekday,
    hour,
    weekdaySd,
    hourSd,
    factor: part((cell) =>
      Math.min(MOST, Math.max(LEAST, weekday[day(cell)] * hour[clock(cell)] * both[cell])),
    ),
    sd: part((cell) => Math.hypot(weekdaySd[day(cell)], hourSd[clock(cell)], bothSd[cell])),
  };
}

/** Writes the factors of a list of rates, and what is known of them. @param kernel hours; null: each by itself */
function learn(
  factors: Float64Array,
  sds: Float64Array,
  orders: Float64Array,
  expected: Float64Array,
  median: number,
  block: number,
  kernel: number | null,
): void {
  const blocks = (list: Float64Array) =>
    Float64Array.from({ length: list.length / block }, (_, at) =>
      list.subarray(at * block, (at + 1) * block).reduce((sum, one) => sum + one, 0),
    );
  const weights = priorWeights(blocks(orders), blocks(expected), median);
  const [k, e] = kernel === null ? [orders, expected] : [smooth(orders, kernel), smooth(expected, kernel)];
  for (let at = 0; at < factors.length; at += 1) {
    const { mean, sd } = shrunk(k[at], e[at], weights);
    factors[at] = mean;
    sds[at] = sd;
  }
}

const sumBy = (size: number, of: (cell: number) => number) => (values: Float64Array) => {
  const sums = new Float64Array(size);
  for (let cell = 0; cell < CELLS; cell += 1) sums[of(cell)] += values[cell];
  return sums;
};

/** Sums of each hour and its neighbours, weighed by a Gaussian of their distance around the clock; each day by itself. */
function smooth(values: Float64Array, sd: number): Float64Array {
  return Float64Array.from(values, (_, at) => {
    const start = at - (at % HOURS);
    let sum = 0;
    for (let other = 0; other < HOURS; other += 1) {
      const apart = Math.abs(other - (at % HOURS));
      sum += values[start + other] * Math.exp(-0.5 * (Math.min(apart, HOURS - apart) / sd) ** 2);
    }
    return sum;
  });
}
