import { isItemCode } from '../matching';
import type { NegativeMatch } from '../matching';
import type { TermContext } from '../terms';

/**
 * Where a term is blocked: in the ad group where it ran, in its whole campaign, or in every ad group of the product that looks for terms (all
 * but the homes).
 */
export const NEGATIVE_REACHES = ['ad group', 'campaign', 'research'] as const;
export type NegativeReach = (typeof NEGATIVE_REACHES)[number];
/** A reach, or every campaign of a named list. */
export type BlockReach = NegativeReach | `list ${number}`;

/** A named list of negatives that is kept over many campaigns. */
export interface NegativeList {
  id: number;
  name: string;
  terms: { match: NegativeMatch; expression: string }[];
  campaignIds: number[];
}

export const reachOfList = (id: number): BlockReach => `list ${id}`;
/** The list that a reach means; null for the others. */
export const listOfReach = (reach: BlockReach): number | null =>
  reach.startsWith('list ') ? Number(reach.slice(5)) : null;

/** A place that a negative can stand in; null: the whole campaign. */
export interface NegativePlace {
  campaignId: number;
  adGroupId: number | null;
}

/** The places of a reach for a row; its own ad group first. Ad groups that bid on exactly the term are left out. */
export function placesOf(
  { table, structure, forms }: TermContext,
  row: number,
  reach: BlockReach,
  lists: readonly NegativeList[] = [],
): NegativePlace[] {
  const own = { campaignId: table.campaignId[row], adGroupId: table.adGroupId[row] };
  if (reach === 'campaign') return [{ ...own, adGroupId: null }];
  if (reach === 'ad group') return [own];
  const listId = listOfReach(reach);
  if (listId !== null)
    return (lists.find(({ id }) => id === listId)?.campaignIds ?? [])
      .filter((id) => !structure.isNegativeInCampaign(forms[row], id))
      .map((campaignId) => ({ campaignId, adGroupId: null }));
  const homes = new Set(structure.exactTargets(forms[row]).map(({ adGroupId }) => adGroupId));
  const productId = structure.adGroup(own.adGroupId)?.productId ?? null;
  // What is advertised there is not known: nothing tells which other ad groups belong with it.
  if (productId === null) return [own];
  // Words do nothing where an ad group bids on items alone.
  const isItem = isItemCode(table.term[row]);
  const others = structure
    .researchAdGroups(productId)
    .filter(({ id }) => id !== own.adGroupId && !homes.has(id))
    .filter(({ id }) => isItem || structure.takesWords(id))
    .filter((adGroup) => !structure.isNegativeIn(forms[row], adGroup))
    .map(({ id, campaignId }) => ({ campaignId, adGroupId: id }));
  return [own, ...others];
}

/** The places of every reach that a row's term can be blocked in: the three that always are, and the lists kept over its campaign. */
export function placesByReach(
  context: TermContext,
  row: number,
  lists: readonly NegativeList[],
): Map<BlockReach, NegativePlace[]> {
  const own = lists.filter(({ campaignIds }) => campaignIds.includes(context.table.campaignId[row]));
  const reaches: BlockReach[] = [...NEGATIVE_REACHES, ...own.map(({ id }) => reachOfList(id))];
  return new Map(reaches.map((reach) => [reach, placesOf(context, row, reach, lists)]));
}

/** Clicks of a window that negatives in some places would stop, of all that went to a term. */
export interface Stopped {
  clicks: number;
  all: number;
  /** Ad groups in which the term goes on. */
  goesOn: number[];
}

/** What a negative of a row's term really stops: its clicks elsewhere go on where nothing blocks them. @param rows all rows of the term */
export function stoppedBy(
  { table }: Pick<TermContext, 'table'>,
  rows: readonly number[],
  places: readonly NegativePlace[],
): Stopped {
  const stopped: Stopped = { clicks: 0, all: 0, goesOn: [] };
  for (const row of rows) {
    stopped.all += table.clicks[row];
    const isHit = places.some(
      ({ campaignId, adGroupId }) =>
        campaignId === table.campaignId[row] && (adGroupId === null || adGroupId === table.adGroupId[row]),
    );
    if (isHit) stopped.clicks += table.clicks[row];
    else if (table.clicks[row] > 0) stopped.goesOn.push(table.adGroupId[row]);
  }
  return stopped;
}
