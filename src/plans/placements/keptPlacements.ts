import { PLACEMENTS } from '../../core/structure';
import { proposePlacements, unlikeGroups } from '../../core/placements';
import type { PlacementBounds } from '../../core/placements';
import type { TreeIndex } from '../../core/structure';
import type { BidSettings } from '../../core/bids';
import { sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import type { Sums } from '../../core/measures';
import type { KeptBids } from '../bids';
import type { PlacementPlan } from './types';

const NOTHING: Sums = { impressions: 0, clicks: 0, spend: 0, orders: 0, units: 0, sales: 0 };
const REST = PLACEMENTS.indexOf('rest');

/**
 * What is proposed for the placements of every campaign of a table, with what each did in the window.
 * @param figures rows of campaigns by placement
 * @param boundsOf what else holds for a campaign; null: nothing
 */
export function planPlacements(
  bids: KeptBids,
  settings: BidSettings,
  table: LensTable,
  figures: LensTable,
  index: TreeIndex,
  boundsOf?: (campaignId: number) => PlacementBounds | null,
): PlacementPlan {
  const { prepared, campaignIds } = bids;
  const proposals = proposePlacements(
    prepared,
    settings,
    boundsOf && ((campaign) => boundsOf(campaignIds[campaign])),
  );
  const at = new Map(Array.from(campaignIds, (id, place) => [id, place]));
  const rowOf = new Map<string, number>();
  for (let row = 0; row < figures.size; row += 1)
    rowOf.set(`${figures.campaignId[row]} ${figures.part[row]}`, row);
  const rows = Array.from(table.campaignId, (campaignId) => {
    const { campaign: _place, placements, ...rest } = proposals[at.get(campaignId)!];
    return {
      ...rest,
      campaignId,
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
  return {
    rows,
    unlike: GROUPINGS.flatMap((groupOf) =>
      unlikeGroups(prepared.factors, campaignIds.length, (campaign) => groupOf(index, campaignIds[campaign])),
    ),
    account: PLACEMENTS.map((_, placement) => prepared.factors.ofAccount(placement, REST)),
  };
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
