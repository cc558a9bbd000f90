import { settingsOf } from '../../core/bids';
import type { BidFeed, BidSettings } from '../../core/bids';
import { inDecimals } from '../../core/changes';
import type { MarketLimits } from '../../core/changes';
import { buildLens, GRADES, sumsAt } from '../../core/lenses';
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
import { amount, figuresOf } from './planned';
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
  const planned = list.map((row, at): Planned => {
    const { now, after } = plan.rows[row];
    const [first, ...rest] = changes[at];
    const [spend, sales] = [after.spend - now.spend, after.sales - now.sales];
    const margin = table.margin[row];
    const profit = Number.isNaN(margin) ? null : margin * sales - spend;
    return {
      changes: changes[at],
      expected: { spend, sales, profit },
      told: {
        subject: {
          kind: 'campaign',
          id: table.campaignId[row],
          name: table.name[row],
          campaign: table.name[row],
          adGroup: '',
        },
        from: null,
        to: null,
        change: inDecimals(first.change),
        also: rest.map(({ change }) => inDecimals(change)),
        reason: placementReason(plan.rows[row]),
        evidence: GRADES[table.grade[row]],
        figures: figuresOf(sumsAt(table.now, row)),
        expected: {
          clicks: after.clicks - now.clicks,
          spend: amount(spend),
          sales: amount(sales),
          profit: amount(profit),
        },
      },
    };
  });
  return { settings, planned };
}
