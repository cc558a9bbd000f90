import type { TermContext } from '../terms';

/**
 * Where a term is blocked: in the ad group where it ran, in its whole campaign, or in every ad group of the product that looks for terms (all
 * but the homes).
 */
export const NEGATIVE_SCOPES = ['ad group', 'campaign', 'research'] as const;
export type NegativeScope = (typeof NEGATIVE_SCOPES)[number];

/** A place that a negative can stand in; null: the whole campaign. */
export interface NegativePlace {
  campaignId: number;
  adGroupId: number | null;
}

/** The places of a scope for a row; its own ad group first. Ad groups that bid on exactly the term are left out. */
export function placesOf(
  { table, structure, forms }: TermContext,
  row: number,
  scope: NegativeScope,
): NegativePlace[] {
  const own = { campaignId: table.campaignId[row], adGroupId: table.adGroupId[row] };
  if (scope === 'campaign') return [{ ...own, adGroupId: null }];
  if (scope === 'ad group') return [own];
  const homes = new Set(structure.exactTargets(forms[row]).map(({ adGroupId }) => adGroupId));
  const productId = structure.adGroup(own.adGroupId)?.productId ?? null;
  // What is advertised there is not known: nothing tells which other ad groups belong with it.
  if (productId === null) return [own];
  const others = structure
    .researchAdGroups(productId)
    .filter(({ id }) => id !== own.adGroupId && !homes.has(id))
    .filter((adGroup) => !structure.isNegativeIn(forms[row], adGroup))
    .map(({ id, campaignId }) => ({ campaignId, adGroupId: id }));
  return [own, ...others];
}
