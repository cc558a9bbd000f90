import { missingFor } from '../../core/placements';
import type { PlacementAsks, PlacementBounds } from '../../core/placements';
import { sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import { NO_SUMS } from '../../core/measures';
import { PLACEMENTS } from '../../core/structure';

/** What holds for the modifiers of campaigns by what is asked of their placements. @param figures rows of campaigns by placement over the days that count */
export function boundsBy(asks: PlacementAsks, figures: LensTable): (campaignId: number) => PlacementBounds {
  const rowOf = new Map<string, number>();
  for (let row = 0; row < figures.size; row += 1)
    rowOf.set(`${figures.campaignId[row]} ${figures.part[row]}`, row);
  return (campaignId) => ({
    missing: PLACEMENTS.map((_, placement) => {
      const row = rowOf.get(`${campaignId} ${placement}`);
      return missingFor(row === undefined ? NO_SUMS : sumsAt(figures.now, row), asks);
    }),
    cap: asks.cap,
    bid: asks.bid,
  });
}
