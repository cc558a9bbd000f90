import type { BidSettings } from '../../core/bids';
import { PLACEMENTS } from '../../core/structure';
import type { Placement } from '../../core/structure';

/** The settings of bids with the placements that a market lets be set; all of them where none is told. */
export const placementSettings = (
  settings: BidSettings,
  options: { modifiers: readonly Placement[] } | null,
): BidSettings => ({
  ...settings,
  modifiers: PLACEMENTS.map((one) => options?.modifiers.includes(one) ?? true) as BidSettings['modifiers'],
});
