import { formatMoney } from '../units';
import type { Micros } from '../units';

/** Which items of a category or brand are meant; what is left out holds for all. Prices in micros, ratings in stars, 1 to 5. */
export interface Refinement {
  minPrice?: Micros;
  maxPrice?: Micros;
  minRating?: number;
  maxRating?: number;
}

/** Price and rating of an own product: what a refinement is made against. */
export interface Listing {
  price: Micros;
  /** Null where it has none yet. */
  rating: number | null;
}

/** The same text for the same refinement, whoever reads it and however its fields are ordered. */
export const refinementKey = (refine: Refinement | null): string =>
  Object.entries(refine ?? {})
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([field, value]) => `${field} ${value}`)
    .join(' ');

/** A refinement in words: "from 12.00, up to 3.9 stars"; "all items" for none. */
export function refinementWords(refine: Refinement | null): string {
  const range = (least: string | null, most: string | null, unit: string) =>
    least === null && most === null
      ? []
      : [
          `${least === null ? `up to ${most}` : most === null ? `from ${least}` : `${least} to ${most}`}${unit}`,
        ];
  const money = (price: Micros | undefined) => (price === undefined ? null : formatMoney(price));
  const stars = (rating: number | undefined) => (rating === undefined ? null : String(rating));
  const { minPrice, maxPrice, minRating, maxRating } = refine ?? {};
  const words = [
    ...range(money(minPrice), money(maxPrice), ''),
    ...range(stars(minRating), stars(maxRating), ' stars'),
  ];
  return words.length === 0 ? 'all items' : words.join(', ');
}
