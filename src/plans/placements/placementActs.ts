import { basesFor, monthUnder } from '../../core/placements';
import type { PlacementAct, PlacementEdit, PlacementRow } from './types';

/** What accepting a row does: what is proposed, or what was set by hand instead. */
export function placementAct(row: PlacementRow, edit: PlacementEdit | undefined): PlacementAct {
  const { campaignId, placements, now } = row;
  const to = placements.map((one, at) => edit?.to[at] ?? one.to);
  const isSame = placements.every((one, at) => one.from === to[at]);
  const bases = isSame || edit?.keepsBases ? 1 : basesFor(placements, to);
  return {
    campaignId,
    to,
    bases,
    now,
    after: isSame ? now : monthUnder(now, placements, to, bases),
    isEdited: edit !== undefined,
  };
}

/** What a row is ordered by: the sales that are won for the same money, micros a month. */
export const placementStake = ({ left, now, after }: Pick<PlacementRow, 'left' | 'now' | 'after'>): number =>
  left === null ? Math.max(0, after.sales - now.sales) : 0;
