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
  const sorted = Float64Array.from(pairs, ({ value }) => value).sort();
  const [low, high] = [quantile(sorted, OUTER), quantile(sorted, 1 - OUTER)];
  const width = roundWidth((high - low) / BARS);
  const first = Math.floor(low / width) * width;
  const count = Math.max(1, Math.floor((high - first) / width) + 1);
  const bars = Array.from({ length: count }, (_, at) => ({
    x0: first + at * width,
    x1: first + (at + 1) * width,
    count: 0,
    spend: 0,
  }));
  let beyond = 0;
  for (const { value, spend } of pairs) {
    if (value < low || value > high) beyond += 1;
    const bar = bars[Math.min(count - 1, Math.max(0, Math.floor((value - first) / width)))];
    bar.count += 1;
    bar.spend += spend;
  }
  return { bars, median: quantile(sorted, 0.5), without, beyond };
}

/** Quantile by linear interpolation between the values in order. */
function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1);
  const below = Math.floor(at);
  const above = Math.min(sorted.length - 1, below + 1);
  return sorted[below] + (at - below) * (sorted[above] - sorted[below]);
}

/** The round number (1, 2 or 5 times a power of ten) that is nearest above a width; 1 where all values are alike. */
function roundWidth(width: number): number {
  if (!(width > 0)) return 1;
  const power = 10 ** Math.floor(Math.log10(width));
  return power * ([1, 2, 5].find((step) => step * power >= width) ?? 10);
}
