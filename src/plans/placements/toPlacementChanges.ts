import type { ChangeFigures, NewChange } from '../../contract/changes';
import type { MarketLimits } from '../../core/changes';
import { placementReason } from '../../core/placements';
import { PLACEMENTS } from '../../core/structure';
import { formatShare } from '../../core/units';
import type { Micros } from '../../core/units';
import { PLACEMENT_STEP } from '../bids';
import type { PlacementAct, PlacementRow } from './types';

/** A running target of a campaign, with the bid that is set in the tray already, if one is. */
export interface BidToMove {
  targetId: number;
  bid: Micros;
  staged: (Pick<NewChange, 'reason' | 'figures' | 'effect'> & { to: Micros }) | null;
}

/**
 * The changes that an act makes: the modifiers first, then the base bids that go with them, each waiting for the first modifier. A bid in
 * the tray keeps what it was decided for and moves with the rest.
 */
export function toPlacementChanges(
  row: PlacementRow,
  act: PlacementAct,
  bids: readonly BidToMove[],
  { minBid, maxBid, bidStep }: Pick<MarketLimits, 'minBid' | 'maxBid' | 'bidStep'>,
): NewChange[] {
  const { campaignId, placements, aim } = row;
  const reason = act.isEdited ? `Edited by hand. ${placementReason(row)}` : placementReason(row);
  const effect = {
    spend: Math.round(act.after.spend - act.now.spend),
    sales: Math.round(act.after.sales - act.now.sales),
  };
  const none = { spend: 0, sales: 0 };
  const modifiers = PLACEMENTS.flatMap((placement, at): NewChange[] => {
    const { from, sums } = placements[at];
    const to = act.to[at];
    if (to === from) return [];
    const { clicks, orders, spend, sales } = sums;
    const figures: ChangeFigures = { step: PLACEMENT_STEP, clicks, orders, spend, sales, targetAcos: aim };
    return [
      { change: { kind: 'set-modifier', campaignId, placement, from, to }, reason, figures, effect: none },
    ];
  });
  if (modifiers.length === 0) return [];
  // What the modifiers and bids of a campaign do together is expected of its first change.
  modifiers[0] = { ...modifiers[0], effect };
  if (act.bases === 1) return modifiers;
  const moved = `Base bids ${act.bases < 1 ? 'down' : 'up'} by ${formatShare(Math.abs(act.bases - 1), 0)} with the modifiers of its campaign`;
  const base = bids.flatMap(({ targetId, bid, staged }): NewChange[] => {
    const to = Math.min(
      maxBid,
      Math.max(minBid, Math.round(((staged?.to ?? bid) * act.bases) / bidStep) * bidStep),
    );
    if (to === (staged?.to ?? bid)) return [];
    const change = { kind: 'set-bid' as const, targetId, from: bid, to };
    if (staged) {
      const { figures, effect: own } = staged;
      return [
        { change, figures, effect: own, reason: `${staged.reason} ${moved}.`.slice(0, 1000), after: 0 },
      ];
    }
    return [
      {
        change,
        figures: { step: PLACEMENT_STEP, targetAcos: aim },
        effect: none,
        reason: `${moved}: what a click may cost stays.`,
        after: 0,
      },
    ];
  });
  return [...modifiers, ...base];
}
