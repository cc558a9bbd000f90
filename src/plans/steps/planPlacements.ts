import { settingsOf } from '../../core/bids';
import type { BidFeed, BidSettings } from '../../core/bids';
import type { MarketLimits } from '../../core/changes';
import { buildLens } from '../../core/lenses';
import { placementReason } from '../../core/placements';
import { indexTree } from '../../core/structure';
import type { AccountTree, Placement } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import type { PlanChoices } from '../../contract/choices';
import { keptBids } from '../bids';
import { keptLens, toGrainSums } from '../field';
import { arrangeCampaigns } from '../campaigns';
import { placementChanges, placementSettings, placementStake, planPlacements } from '../placements';
import type { PlacementChangesAsked } from '../placements';
import { plannedCampaign } from './planned';
import type { Planned } from './planned';

/** What the step of placements is planned from. */
export interface PlacementParts {
  tree: AccountTree;
  /** Sums of targets and of placements over the window. */
  sums: { targets: FieldSumsAnswer; placements: FieldSumsAnswer };
  feed: BidFeed;
  choices: PlanChoices['bids'];
  limits: MarketLimits;
  options: { modifiers: Placement[] } | null;
  /** Campaigns that have such a change in the tray or under way, those put aside, and bids in the tray. */
  staged: number[];
  aside: number[];
  bids: PlacementChangesAsked['staged'];
}

/** What is proposed for the account's placements, the most sales to win first: the rows and figures that the page shows. */
export function planPlacementStep(parts: PlacementParts): { settings: BidSettings; planned: Planned[] } {
  const { tree, sums, feed, choices, limits, options, staged, aside, bids } = parts;
  const index = indexTree(tree);
  const lens = keptLens(1, buildLens('campaigns', index, toGrainSums(sums.targets).grainSums), index);
  const figures = buildLens('placements', index, toGrainSums(sums.placements).grainSums);
  const settings = placementSettings(settingsOf(choices, limits), options);
  const { table } = lens;
  const plan = planPlacements(keptBids(index, feed), settings, table, figures, index);
  const { rows } = arrangeCampaigns(
    lens,
    { show: 'proposed', conditions: [], sort: null, staged, aside },
    plan.rows.map(placementStake),
    (row) => plan.rows[row].left === null,
  );
  const list = Array.from(rows);
  const changes = placementChanges(plan, index, { settings, rows: list, edits: [], staged: bids });
  const planned = list.map((row, at) =>
    plannedCampaign(table, row, plan.rows[row], changes[at], {
      from: null,
      to: null,
      reason: placementReason(plan.rows[row]),
    }),
  );
  return { settings, planned };
}
