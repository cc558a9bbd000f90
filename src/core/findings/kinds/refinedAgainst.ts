import { refinementWords } from '../../structure';
import type { Listing, Refinement } from '../../structure';
import { formatMoney, formatNumber, MICROS_PER_UNIT } from '../../units';
import type { FindingSpec } from '../finding';
import { runs } from '../given';

/** A price that moved by less than this share is the same to a shopper; ratings are told to a tenth. */
const PRICE_MOVES = 0.02;
const RATING_MOVES = 0.1;
const CENT = MICROS_PER_UNIT / 100;

/** The refinement that stands to a new price and rating as the old one stood to the old ones. */
export function refinedAnew(refine: Refinement, was: Listing, now: Listing): Refinement {
  const price = (value: number | undefined) =>
    value === undefined ? undefined : Math.round((value * now.price) / was.price / CENT) * CENT;
  const moved = was.rating === null || now.rating === null ? 0 : now.rating - was.rating;
  const rating = (value: number | undefined) =>
    value === undefined ? undefined : Math.min(5, Math.max(0, Math.round((value + moved) * 10) / 10));
  const next = {
    minPrice: price(refine.minPrice),
    maxPrice: price(refine.maxPrice),
    minRating: rating(refine.minRating),
    maxRating: rating(refine.maxRating),
  };
  return Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as Refinement;
}

/** Rivals were chosen by a price or rating that the own product has no more: only these targets are ended and made again. */
export const refinedAgainst: FindingSpec = {
  kind: 'refined-against',
  label: 'Refinements that no longer hold',
  usual:
    'A category is refined against the own price and rating: when those move, other rivals are the dearer or worse-rated ones.',
  money: 'spend',
  find: (given) =>
    given.refined.flatMap(({ targetId, refine, against }) => {
      const { index, sums, perMonth } = given;
      const target = index.targets.get(targetId);
      const product = index.products.get(index.placeOfTarget(targetId).productId);
      if (!target || !runs(given, target) || product?.price == null) return [];
      const now = { price: product.price, rating: product.rating };
      const hasPrice = refine.minPrice !== undefined || refine.maxPrice !== undefined;
      const hasRating = refine.minRating !== undefined || refine.maxRating !== undefined;
      const isPriceOff = hasPrice && Math.abs(now.price / against.price - 1) > PRICE_MOVES;
      const isRatingOff =
        hasRating &&
        now.rating !== null &&
        against.rating !== null &&
        Math.abs(now.rating - against.rating) > RATING_MOVES - 1e-9;
      if (!isPriceOff && !isRatingOff) return [];
      const next = refinedAnew(refine, against, now);
      const moved = [
        ...(isPriceOff ? [`the price ${formatMoney(against.price)} → ${formatMoney(now.price)}`] : []),
        ...(isRatingOff
          ? [`the rating ${formatNumber(against.rating!, 1)} → ${formatNumber(now.rating!, 1)}`]
          : []),
      ];
      const aim = target.kind === 'brand' ? ('brand' as const) : ('category' as const);
      return [
        {
          entity: 'target' as const,
          id: targetId,
          ids: [targetId],
          money: sums(targetId).spend * perMonth,
          words: `It was refined to ${refinementWords(refine)}; since then ${moved.join(' and ')}. Made again: ${refinementWords(next)}.`,
          mend: [
            { kind: 'archive-target' as const, targetId },
            {
              kind: 'add-refined-target' as const,
              adGroupId: target.adGroupId,
              aim,
              expression: target.expression,
              refine: next,
              against: now,
              bid: target.bid ?? index.adGroups.get(target.adGroupId)?.defaultBid ?? 0,
            },
          ],
          otherwise: null,
        },
      ];
    }),
};
