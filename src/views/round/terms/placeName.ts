import type { LoadedReview } from '../../../plans/terms';

const known = new WeakMap<
  object,
  { campaigns: Map<number, string>; adGroups: Map<number, { name: string; campaignId: number }> }
>();

function namesOf({ structure }: LoadedReview) {
  let names = known.get(structure);
  if (!names) {
    names = {
      campaigns: new Map(structure.campaigns.map(({ id, name }) => [id, name])),
      adGroups: new Map(structure.adGroups.map(({ id, name, campaignId }) => [id, { name, campaignId }])),
    };
    known.set(structure, names);
  }
  return names;
}

/** Name of a campaign's id. */
export const campaignName = (campaignId: number, review: LoadedReview): string =>
  namesOf(review).campaigns.get(campaignId) ?? 'unknown campaign';

/** Campaign and ad group of an ad group's id. */
export function adGroupName(adGroupId: number, review: LoadedReview): string {
  const names = namesOf(review);
  const adGroup = names.adGroups.get(adGroupId);
  return adGroup ? `${names.campaigns.get(adGroup.campaignId) ?? ''} › ${adGroup.name}` : 'unknown ad group';
}

/** Where a row's term ran: campaign and ad group. */
export function placeName(row: number, review: LoadedReview): string {
  return adGroupName(review.table.adGroupId[row], review);
}
