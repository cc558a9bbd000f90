import type { ChangeFigures } from '../../contract/changes';
import type { Ahead, BidSettings } from '../../core/bids';
import type { Change } from '../../core/changes';
import { PLACEMENTS } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import type { Micros } from '../../core/units';

/**
 * Modifiers that are in the tray or under way, and the base bids that were set with them, by id: the bids of the round start from there, so
 * that both are one plan. Bids that were decided on by themselves are not among them.
 */
export interface AheadIds {
  bids: [targetId: number, to: Micros][];
  modifiers: [campaignId: number, placement: number, to: number][];
}

/** Settings of a round, with what is decided already. */
export type RoundSettings = BidSettings & { ahead?: AheadIds };

/** The step whose base bids go with modifiers, as changes name it. */
export const PLACEMENT_STEP = 'placements';

/** Whether a change only moves a base bid along with the modifiers of its campaign. */
export const goesWithModifiers = ({ change, figures }: { change: Change; figures: ChangeFigures }): boolean =>
  change.kind === 'set-bid' && figures.step === PLACEMENT_STEP;

/** What of the tray, and of what is under way, the bids of a round start from. */
export function aheadOf(pending: readonly { change: Change; figures: ChangeFigures }[]): AheadIds {
  const ahead: AheadIds = { bids: [], modifiers: [] };
  for (const one of pending) {
    const { change } = one;
    if (change.kind === 'set-modifier')
      ahead.modifiers.push([change.campaignId, PLACEMENTS.indexOf(change.placement), change.to]);
    if (change.kind === 'set-bid' && goesWithModifiers(one)) ahead.bids.push([change.targetId, change.to]);
  }
  return ahead;
}

/** The same by the engine's own indices. */
export function aheadAt(
  { bids, modifiers }: AheadIds,
  { campaigns }: Pick<TreeIndex, 'campaigns'>,
  at: { target: ReadonlyMap<number, number>; campaign: ReadonlyMap<number, number> },
): Ahead {
  const ahead = { bids: new Map<number, Micros>(), modifiers: new Map<number, [number, number, number]>() };
  for (const [id, to] of bids) {
    const place = at.target.get(id);
    if (place !== undefined) ahead.bids.set(place, to);
  }
  for (const [id, placement, to] of modifiers) {
    const [place, node] = [at.campaign.get(id), campaigns.get(id)];
    if (place === undefined || !node) continue;
    const next = ahead.modifiers.get(place) ?? [node.top, node.rest, node.pages];
    next[placement] = to;
    ahead.modifiers.set(place, next);
  }
  return ahead;
}
