import { movesOf } from '../../core/changes';
import type { NewChange } from '../../contract/changes';
import type { PlacementChangesAsked } from './placementChanges';

type Pending = Pick<NewChange, 'change' | 'reason' | 'figures' | 'effect'>;

/** Campaigns whose modifiers have a change in the tray or under way. */
export const pendingPlacements = (pending: readonly Pick<Pending, 'change'>[]): number[] => [
  ...new Set(
    pending.flatMap(({ change }) => {
      const moves = movesOf(change);
      return moves?.what === 'modifier' ? [moves.campaign] : [];
    }),
  ),
];

/** Bids in the tray, with what they were decided for. */
export const stagedBids = (staged: readonly Pending[]): PlacementChangesAsked['staged'] =>
  staged.flatMap(({ change, reason, figures, effect }) => {
    const moves = movesOf(change);
    return moves?.what === 'bid' ? [{ targetId: moves.target, to: moves.to, reason, figures, effect }] : [];
  });
