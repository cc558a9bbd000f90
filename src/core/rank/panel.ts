/**
 * Organic ranks and ads of product × terms, day by day: what is told of every pair on every day, pairs one after another. A place is a rank in the
 * unpaid results, 1 the best; `BEYOND` stands beyond the last page.
 */
export interface RankPanel {
  pairs: number;
  days: number;
  /** NaN: no rank was told for the day, a gap. */
  rank: Float64Array;
  /** Ad orders of the day, from all campaigns. */
  orders: Float64Array;
}

/** Looked for and not found on any page: worse than every rank that was told, and no number. */
export const BEYOND = 0;
/** Whether a place is a rank that was told as a number. */
export const isPlace = (rank: number): boolean => rank > 0;

/**
 * The pairs of a large panel that say most of what orders do: those with the most orders, and beside them some of those with the fewest, which tell
 * what happened anyway. A panel of no more than `most` stays as it is.
 */
export function tellingPairs(panel: RankPanel, most: number): RankPanel {
  const { pairs, days, rank, orders } = panel;
  if (pairs <= most) return panel;
  const sums = Array.from({ length: pairs }, (_, pair) =>
    orders.subarray(pair * days, (pair + 1) * days).reduce((sum, one) => sum + one, 0),
  );
  const bySum = sums.map((_, pair) => pair).sort((a, b) => sums[b] - sums[a] || a - b);
  const few = Math.floor(most / 4);
  const chosen = [...bySum.slice(0, most - few), ...bySum.slice(pairs - few)];
  const told = emptyPanel(most, days);
  chosen.forEach((pair, at) => {
    told.rank.set(rank.subarray(pair * days, (pair + 1) * days), at * days);
    told.orders.set(orders.subarray(pair * days, (pair + 1) * days), at * days);
  });
  return told;
}

/** An empty panel: nothing told, no orders. */
export function emptyPanel(pairs: number, days: number): RankPanel {
  const cells = pairs * days;
  return { pairs, days, rank: new Float64Array(cells).fill(NaN), orders: new Float64Array(cells) };
}
