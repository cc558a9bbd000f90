import { mixSeeds, Stream } from '../chance/stream';

const [DAYS, HOURS] = [7, 24];
/** How the variance of a pattern lies: in its weekdays, its hours, and what only the two together make. */
const PARTS = { weekday: 0.35, hour: 0.5, both: 0.15 };

/** Share of a line's pattern that all lines have alike: the same people shop for them. */
const COMMON = 0.75;

/**
 * How well clicks of a product line sell by weekday x hour, around 1: a pattern smooth over the hours, most of it common to the market of the seed, whose
 * logarithm has the standard deviation sigma.
 */
export function weekRhythm(seed: number, line: number, sigma: number): Float64Array {
  const [common, own] = [pattern(seed, -1), pattern(seed, line)];
  return common.map((one, cell) =>
    Math.exp(sigma * (Math.sqrt(COMMON) * one + Math.sqrt(1 - COMMON) * own[cell])),
  );
}

/** A pattern over the week with mean 0 and standard deviation 1. */
function pattern(seed: number, line: number): Float64Array {
  const random = new Stream(mixSeeds(seed, line, 0x7a3e));
  const weekday = spread(Array.from({ length: DAYS }, () => random.normal()));
  const hour = spread(wave(random, HOURS));
  const both = spread(Array.from({ length: DAYS }, () => wave(random, HOURS)).flat());
  return Float64Array.from(
    both,
    (one, cell) =>
      Math.sqrt(PARTS.weekday) * weekday[Math.floor(cell / HOURS)] +
      Math.sqrt(PARTS.hour) * hour[cell % HOURS] +
      Math.sqrt(PARTS.both) * one,
  );
}

/** A smooth line around the clock, of two waves. */
function wave(random: Stream, length: number): number[] {
  const [first, second] = [random.between(0, 2 * Math.PI), random.between(0, 2 * Math.PI)];
  const [high, low] = [random.normal(), 0.6 * random.normal()];
  return Array.from(
    { length },
    (_, at) =>
      (1 + Math.abs(high)) * Math.sin((2 * Math.PI * at) / length + first) +
      low * Math.sin((4 * Math.PI * at) / length + second),
  );
}

/** The same numbers with mean 0 and standard deviation 1. */
function spread(list: readonly number[]): number[] {
  const mean = list.reduce((sum, one) => sum + one, 0) / list.length;
  const sd = Math.sqrt(list.reduce((sum, one) => sum + (one - mean) ** 2, 0) / list.length);
  return list.map((one) => (sd > 0 ? (one - mean) / sd : 0));
}
