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

/** An empty panel: nothing told, no orders. */
export function emptyPanel(pairs: number, days: number): RankPanel {
  const cells = pairs * days;
  return { pairs, days, rank: new Float64Array(cells).fill(NaN), orders: new Float64Array(cells) };
}
