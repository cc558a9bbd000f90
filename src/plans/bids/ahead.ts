import type { ChangeFigures } from '../../contract/changes';
import type { AheadIds } from '../../contract/bids';
import type { Ahead } from '../../core/bids';
import { movesOf } from '../../core/changes';
import type { Change } from '../../core/changes';
import { PLACEMENTS } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import type { Micros } from '../../core/units';

/** The step whose base bids go with modifiers, as changes name it. */
export const PLACEMENT_STEP = 'placements';

/** Whether a change only moves a base bid along with the modifiers of its campaign. */
export const goesWithModifiers = ({ change, figures }: { change: Change; figures: ChangeFigures }): boolean =>
  movesOf(change)?.what === 'bid' && figures.step === PLACEMENT_STEP;

/** What of the tray, and of what is under way, the bids of a round start from. */
export function aheadOf(pending: readonly { change: Change; figures: ChangeFigures }[]): AheadIds {
  const ahead: AheadIds = { bids: [], modifiers: [], budgets: [], schedules: [] };
  for (const one of pending) {
    const moves = movesOf(one.change);
    if (moves?.what === 'modifier')
      ahead.modifiers.push([moves.campaign, PLACEMENTS.indexOf(moves.placement), moves.to]);
    const { spendBy, salesBy } = one.figures;
    if (moves?.what === 'schedule' && spendBy !== undefined && salesBy !== undefined)
      ahead.schedules.push([moves.campaign, spendBy, salesBy]);
    if (moves?.what === 'budget') ahead.budgets.push([moves.campaign, moves.to]);
    if (moves?.what === 'bid' && goesWithModifiers(one)) ahead.bids.push([moves.target, moves.to]);
  }
  return ahead;
}

/** The same by the engine's own indices. */
export function aheadAt(
  { bids, modifiers, budgets, schedules }: AheadIds,
  { campaigns }: Pick<TreeIndex, 'campaigns'>,
  at: { target: ReadonlyMap<number, number>; campaign: ReadonlyMap<number, number> },
): Ahead {
  const ahead = {
    bids: new Map<number, Micros>(),
    modifiers: new Map<number, [number, number, number]>(),
    budgets: new Map<number, Micros>(),
    schedules: new Map<number, [spend: number, sales: number]>(),
  };
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
  for (const [id, to] of budgets) {
    const place = at.campaign.get(id);
    if (place !== undefined) ahead.budgets.set(place, to);
  }
  for (const [id, ...by] of schedules) {
    const place = at.campaign.get(id);
    if (place !== undefined) ahead.schedules.set(place, by);
  }
  return ahead;
}
