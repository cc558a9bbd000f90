import { PLACEMENTS } from '../../core/structure';
import { proposePlacements, unlikeGroups } from '../../core/placements';
import type { PlacementBounds } from '../../core/placements';
import type { TreeIndex } from '../../core/structure';
import type { BidSettings } from '../../core/bids';
import { sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import type { Sums } from '../../core/measures';
import { planned } from '../campaigns';
import type { KeptBids } from '../bids';
import type { PlacementPlan, PlacementProposals } from './types';

const NOTHING: Sums = { impressions: 0, clicks: 0, spend: 0, orders: 0, units: 0, sales: 0 };
const REST = PLACEMENTS.indexOf('rest');

/** What is proposed for the placements of every campaign that has bids. @param bounds what else holds for campaigns; left out: nothing */
export function placementProposals(
  { prepared, campaignIds, index }: KeptBids,
  settings: BidSettings,
  bounds?: ReadonlyMap<number, PlacementBounds>,
): PlacementProposals {
  const proposals = proposePlacements(
    prepared,
    settings,
    bounds && ((campaign) => bounds.get(campaignIds[campaign]) ?? null),
  );
  return {
    campaigns: proposals.map(({ campaign, ...rest }) => ({ ...rest, campaignId: campaignIds[campaign] })),
    unlike: GROUPINGS.flatMap((groupOf) =>
      unlikeGroups(prepared.factors, campaignIds.length, (campaign) => groupOf(index, campaignIds[campaign])),
    ),
    account: PLACEMENTS.map((_, placement) => prepared.factors.ofAccount(placement, REST)),
  };
}

/** The same by the rows of a table of campaigns, with what each placement did in the window. @param figures rows of campaigns by placement */
export function planPlacements(
  { campaigns, ...rest }: PlacementProposals,
  table: LensTable,
  figures: LensTable,
): PlacementPlan {
  const proposalOf = new Map(campaigns.map((one) => [one.campaignId, one]));
  const rowOf = new Map<string, number>();
  for (let row = 0; row < figures.size; row += 1)
    rowOf.set(`${figures.campaignId[row]} ${figures.part[row]}`, row);
  const rows = Array.from(table.campaignId, (campaignId) => {
    const { placements, ...proposal } = planned(proposalOf.get(campaignId));
    return {
      ...proposal,
      placements: placements.map((one, placement) => {
        const row = rowOf.get(`${campaignId} ${placement}`);
        return {
          ...one,
          sums: row === undefined ? NOTHING : sumsAt(figures.now, row),
          rpc: row === undefined ? 0 : figures.rpc[row],
          rpcLow: row === undefined ? 0 : figures.rpcLow[row],
          rpcHigh: row === undefined ? 0 : figures.rpcHigh[row],
          grade: row === undefined ? 0 : figures.grade[row],
        };
      }),
    };
  });
  return { rows, ...rest };
}

/** What campaigns are held together by to see where placements are worth something else: their product, and what finds their terms. */
const GROUPINGS: ((index: TreeIndex, campaignId: number) => string | null)[] = [
  ({ productOfCampaign, products }, id) => products.get(productOfCampaign.get(id) ?? 0)?.name ?? null,
  (index, id) => kindsOf(index).get(id) ?? null,
];

const kinds = new WeakMap<TreeIndex, Map<number, string>>();

/** Automatic, keywords or items: what all targets of a campaign are. */
function kindsOf(index: TreeIndex): Map<number, string> {
  let known = kinds.get(index);
  if (known) return known;
  known = new Map();
  for (const { adGroupId, kind } of index.tree.targets) {
    const campaignId = index.adGroups.get(adGroupId)?.campaignId ?? 0;
    const word = KIND_WORDS[kind] ?? 'mixed campaigns';
    const before = known.get(campaignId);
    known.set(campaignId, before === undefined || before === word ? word : 'mixed campaigns');
  }
  kinds.set(index, known);
  return known;
}

const KIND_WORDS: Partial<Record<string, string>> = {
  auto: 'automatic campaigns',
  keyword: 'keyword campaigns',
  item: 'item campaigns',
};
