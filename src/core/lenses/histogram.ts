import { bin, quantileSorted } from 'd3-array';

/** A bar of a histogram: how many rows have a value from x0 (counted) to x1, and what these rows spend. */
export interface Bar {
  x0: number;
  x1: number;
  count: number;
  spend: number;
}

/** How one number is spread over rows. */
export interface Spread {
  bars: Bar[];
  median: number | null;
  /** Rows that have no such value. */
  without: number;
  /** Rows beyond the outer bars, counted in them: one giant must not press all others into a single bar. */
  beyond: number;
}

const BARS = 36;
const OUTER = 0.01;

/**
 * The spread of a number over rows, in some 36 bars of equal, round width between its 1 % and 99 % quantile.
 * @param read null where a row has no value
 */
export function spreadOf(
  rows: ArrayLike<number>,
  read: (row: number) => number | null,
  spendOf: (row: number) => number,
): Spread {
  const pairs: { value: number; spend: number }[] = [];
  for (let at = 0; at < rows.length; at += 1) {
    const value = read(rows[at]);
    if (value !== null) pairs.push({ value, spend: spendOf(rows[at]) });
  }
  const without = rows.length - pairs.length;
  if (pairs.length === 0) return { bars: [], median: null, without, beyond: 0 };
  const sorted = Array.from(Float64Array.from(pairs, ({ value }) => value).sort());
  const low = quantileSorted(sorted, OUTER)!;
  const high = quantileSorted(sorted, 1 - OUTER)!;
  const inside = bin<{ value: number; spend: number }, number>()
    .value(({ value }) => Math.min(high, Math.max(low, value)))
    .domain([low, high])
    .thresholds(BARS);
  const bars = inside(pairs).map((group) => ({
    x0: group.x0!,
    x1: group.x1!,
    count: group.length,
    spend: group.reduce((sum, { spend }) => sum + spend, 0),
  }));
  const beyond = pairs.filter(({ value }) => value < low || value > high).length;
  return { bars, median: quantileSorted(sorted, 0.5)!, without, beyond };
}
