import { isPlace } from './panel';

/** Share of a search's shoppers who click what stands at a rank without an ad: `top` x rank ^ -`slope`. */
export interface OrganicShare {
  top: number;
  slope: number;
  /** How much of it the account's own figures say, 0 to 1; the rest is what is usual. */
  own: number;
}

/** What is usual before an account has shown anything: a fifth of the shoppers at the first place, half as many at the second. */
export const USUAL_SHARE: OrganicShare = { top: 0.2, slope: 1, own: 0 };
/** How far accounts stray from it: standard deviations. */
const SPREAD = { top: 0.1, slope: 0.25 };
const SLOPES = Array.from({ length: 13 }, (_, at) => 0.4 + 0.1 * at);
const LEAST_WEEKS = 4;

/** A product's week: orders that came without an ad, and the ranked searches that may have brought them. */
export interface OrganicWeek {
  product: number;
  week: number;
  /** Orders without an ad. */
  orders: number;
  /** Share of clicks that order. */
  conversion: number;
  /** Searches of the week and rank, by term; ranks beyond the last page bring nobody. */
  terms: { searches: number; rank: number }[];
}

/**
 * Fits how a rank brings orders without ads: orders of a product's week = its own level + the week's + top × Σ searches × rank^-slope × conversion.
 * Levels are taken out, because a product sells by other searches too. Shrunk toward what is usual by how little the account shows (the mode of
 * the posterior under normal priors).
 */
export function organicShare(weeks: readonly OrganicWeek[]): OrganicShare {
  const count = new Set(weeks.map(({ week }) => week)).size;
  const products = new Set(weeks.map(({ product }) => product)).size;
  if (count < LEAST_WEEKS || products < 2) return USUAL_SHARE;
  const y = withoutLevels(
    weeks,
    weeks.map(({ orders }) => orders),
  );
  const noise = Math.max(1e-9, squares(y) / Math.max(1, weeks.length - count - products));
  let [best, score]: [OrganicShare, number] = [USUAL_SHARE, Infinity];
  for (const slope of SLOPES) {
    const x = withoutLevels(
      weeks,
      weeks.map(({ terms, conversion }) =>
        terms.reduce(
          (sum, { searches, rank }) => sum + (isPlace(rank) ? searches * rank ** -slope * conversion : 0),
          0,
        ),
      ),
    );
    const [told, prior] = [squares(x) / noise, 1 / SPREAD.top ** 2];
    const xy = x.reduce((sum, one, at) => sum + one * y[at], 0) / noise;
    const top = Math.max(0.01, (xy + USUAL_SHARE.top * prior) / (told + prior));
    const left = y.reduce((sum, one, at) => sum + (one - top * x[at]) ** 2, 0) / noise;
    const strange =
      ((top - USUAL_SHARE.top) / SPREAD.top) ** 2 + ((slope - USUAL_SHARE.slope) / SPREAD.slope) ** 2;
    if (left + strange < score) [best, score] = [{ top, slope, own: told / (told + prior) }, left + strange];
  }
  return best;
}

/** Shoppers' orders a month that a rank brings without ads, of a term that is searched so often. */
export const ordersAt = (
  { top, slope }: OrganicShare,
  rank: number,
  weeklySearches: number,
  conversion: number,
): number => (isPlace(rank) ? ((weeklySearches * DAYS_OF_MONTH) / 7) * top * rank ** -slope * conversion : 0);

export const DAYS_OF_MONTH = 30;

const squares = (values: readonly number[]) => values.reduce((sum, one) => sum + one * one, 0);

/** Values less what is usual of their product and of their week. */
function withoutLevels(weeks: readonly OrganicWeek[], values: readonly number[]): number[] {
  let left = [...values];
  for (let round = 0; round < 6; round += 1)
    for (const of of ['product', 'week'] as const) {
      const sums = new Map<number, { sum: number; count: number }>();
      weeks.forEach((week, at) => {
        const { sum, count } = sums.get(week[of]) ?? { sum: 0, count: 0 };
        sums.set(week[of], { sum: sum + left[at], count: count + 1 });
      });
      left = left.map((value, at) => {
        const { sum, count } = sums.get(weeks[at][of])!;
        return value - sum / count;
      });
    }
  return left;
}
