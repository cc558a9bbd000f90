import type { BidSettings } from '../../core/bids';
import { buildLens, sumsAt } from '../../core/lenses';
import type { Sums } from '../../core/measures';
import { placementReason } from '../../core/placements';
import type { PlacementOrder } from '../../core/placements';
import type { TreeIndex } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import { keptLens, toGrainSums } from '../field';
import { arrangeCampaigns } from '../campaigns';
import { placementChanges, placementStake, planPlacements } from '../placements';
import type { PlacementChangesAsked, PlacementProposals } from '../placements';
import { plannedCampaign } from './planned';
import type { Planned } from './planned';

/** What the step of placements is planned from. */
export interface PlacementParts {
  /** Sums of ad groups and of placements over the window. */
  sums: { adGroups: FieldSumsAnswer; placements: FieldSumsAnswer };
  proposals: PlacementProposals;
  settings: BidSettings;
  /** Campaigns that have such a change in the tray or under way, those put aside, and bids in the tray. */
  staged: number[];
  aside: number[];
  bids: PlacementChangesAsked['staged'];
  /** Which come first. */
  first: PlacementOrder;
}

type StepRow = { planned: Planned; sums: Sums };

/** Which campaigns come first; the most sales to win are first already. */
const BEFORE: Record<PlacementOrder, ((a: StepRow, b: StepRow) => number) | null> = {
  gain: null,
  spend: (a, b) => b.sums.spend - a.sums.spend,
  acos: (a, b) => acosOf(b.sums) - acosOf(a.sums),
};
/** What spends and sells nothing has the highest ACOS of all. */
const acosOf = ({ spend, sales }: Sums) => (sales > 0 ? spend / sales : spend > 0 ? Infinity : 0);

/** What is proposed for the account's placements, the most sales to win first: the rows and figures that the page shows. */
export function planPlacementStep(index: TreeIndex, parts: PlacementParts): Planned[] {
  const { sums, proposals, settings, staged, aside, bids, first } = parts;
  const lens = keptLens(1, buildLens('campaigns', index, toGrainSums(sums.adGroups).grainSums), index);
  const figures = buildLens('placements', index, toGrainSums(sums.placements).grainSums);
  const { table } = lens;
  const plan = planPlacements(proposals, table, figures);
  const { rows } = arrangeCampaigns(
    lens,
    { show: 'proposed', conditions: [], sort: null, staged, aside },
    plan.rows.map(placementStake),
    (row) => plan.rows[row].left === null,
  );
  const list = Array.from(rows);
  const changes = placementChanges(plan, index, { settings, rows: list, edits: [], staged: bids });
  const all = list.map((row, at) => ({
    sums: sumsAt(table.now, row),
    planned: plannedCampaign(table, row, plan.rows[row], changes[at], {
      from: null,
      to: null,
      reason: placementReason(plan.rows[row]),
    }),
  }));
  const before = BEFORE[first];
  if (before) all.sort(before);
  return all.map(({ planned }) => planned);
}
