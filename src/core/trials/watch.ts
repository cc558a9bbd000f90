/** What a trial is watched by beside its own figures: four weeks before it, and its own last two settled weeks, a week each. */
export interface Watched {
  /** All sales of the products that the trial touches, and of the others, micros a week; null where not known. */
  sales: { before: number; now: number; othersBefore: number; othersNow: number } | null;
  /** Organic places of its products' terms: the mean of ln place; null where not known. */
  rank: { before: number; now: number; terms: number } | null;
}

export interface TrialBounds {
  /** By what share total sales may fall against those of the other products. */
  sales: number;
  /** By what share an organic place may rise in number: 0.3 is from place 10 to 13. */
  rank: number;
}

/** How far what is watched has moved, as shares; null where it is not known. */
export interface WatchedMoves {
  sales: number | null;
  rank: number | null;
}

export function movesOf({ sales, rank }: Watched): WatchedMoves {
  const ratio = (a: number, b: number) => (a > 0 && b > 0 ? a / b : null);
  const own = sales && ratio(sales.now, sales.before);
  const others = sales && ratio(sales.othersNow, sales.othersBefore);
  return {
    sales: own === null ? null : own / (others ?? 1) - 1,
    rank: rank === null ? null : Math.exp(rank.now - rank.before) - 1,
  };
}

/** Which bound is left; null while none is. */
export function leftBound({ sales, rank }: WatchedMoves, bounds: TrialBounds): 'sales' | 'rank' | null {
  if (sales !== null && sales < -bounds.sales) return 'sales';
  return rank !== null && rank > bounds.rank ? 'rank' : null;
}
