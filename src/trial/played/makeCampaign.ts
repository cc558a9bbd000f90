import type { SimTarget } from '../../market/sim';
import type { PlayedMarket } from '../playedMarket';

/** Makes a campaign with one ad group on a played market. @returns the campaign's id */
export function makeCampaign(
  { books, today }: PlayedMarket,
  productId: string,
  name: string,
  budget: number,
  bid: number,
  targets: readonly Pick<SimTarget, 'kind' | 'match' | 'expression'>[],
): string {
  const id = `M${books.campaigns.length}`;
  const adGroupId = `${id}-G`;
  books.campaigns.push({
    id,
    name,
    state: 'enabled',
    budget,
    budgetKind: 'daily',
    pacing: 'even',
    flex: 'fixed',
    similar: 'on',
    startsOn: today,
    endsOn: null,
    modifiers: { top: 0, rest: 0, pages: 0 },
  });
  books.adGroups.push({
    id: adGroupId,
    campaignId: id,
    name,
    state: 'enabled',
    defaultBid: bid,
    budget: null,
    startsOn: null,
    endsOn: null,
  });
  books.ads.push({ id: `${id}-A`, adGroupId, productId, titles: [], pictures: [], state: 'enabled' });
  targets.forEach((one, at) =>
    books.targets.push({ ...one, id: `${id}-T${at}`, adGroupId, refine: null, bid, state: 'enabled' }),
  );
  return id;
}
