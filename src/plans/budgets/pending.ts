import { movesOf } from '../../core/changes';
import type { Change } from '../../core/changes';

/** Campaigns whose budget has a change in the tray or under way. */
export const pendingBudgets = (pending: readonly { change: Change }[]): number[] => [
  ...new Set(
    pending.flatMap(({ change }) => {
      const moves = movesOf(change);
      return moves?.what === 'budget' ? [moves.campaign] : [];
    }),
  ),
];
