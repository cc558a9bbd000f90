import type { NewChange } from '../../contract/changes';
import type { BidSettings } from '../../core/bids';
import type { TreeIndex } from '../../core/structure';
import { groupBy } from '../../core/order';
import { placementAct } from './placementActs';
import { toPlacementChanges } from './toPlacementChanges';
import type { BidToMove } from './toPlacementChanges';
import type { PlacementEdit, PlacementPlan } from './types';

/** Which rows are accepted, with what was set by hand, and what the tray says of their targets. */
export interface PlacementChangesAsked {
  settings: BidSettings;
  rows: number[];
  edits: [campaignId: number, edit: PlacementEdit][];
  /** Bids that are in the tray, by target. */
  staged: ({ targetId: number } & NonNullable<BidToMove['staged']>)[];
}

/** The changes of each row that is accepted: its modifiers, and the base bids of its running targets. */
export function placementChanges(
  plan: PlacementPlan,
  index: TreeIndex,
  { settings, rows, edits, staged }: PlacementChangesAsked,
): NewChange[][] {
  const editOf = new Map(edits);
  const inTray = new Map(staged.map(({ targetId, ...one }) => [targetId, one]));
  const wanted = new Set(rows.map((row) => plan.rows[row].campaignId));
  const targets = groupBy(
    index.tree.targets.filter(({ adGroupId, state }) => {
      const adGroup = index.adGroups.get(adGroupId);
      return (
        state === 'enabled' &&
        adGroup?.state === 'enabled' &&
        wanted.has(adGroup.campaignId) &&
        index.campaignRuns(adGroup.campaignId)
      );
    }),
    ({ adGroupId }) => index.adGroups.get(adGroupId)!.campaignId,
  );
  return rows.map((row) => {
    const campaign = plan.rows[row];
    const bids = (targets.get(campaign.campaignId) ?? []).flatMap(({ id, bid, adGroupId }): BidToMove[] => {
      const own = bid ?? index.adGroups.get(adGroupId)?.defaultBid ?? 0;
      return own > 0 ? [{ targetId: id, bid: own, staged: inTray.get(id) ?? null }] : [];
    });
    const act = placementAct(campaign, editOf.get(campaign.campaignId));
    return toPlacementChanges(campaign, act, bids, settings.limits);
  });
}
