import type { AddAd } from './addAd';
import type { ChangeSpec } from './spec';

/** Ends an ad: the product is shown in the ad group no more. */
export interface ArchiveAd {
  kind: 'archive-ad';
  adId: number;
  adGroupId: number;
  productId: number;
}

export const archiveAd: ChangeSpec<ArchiveAd, AddAd> = {
  kind: 'archive-ad',
  shape: { adId: 'id', adGroupId: 'id', productId: 'id' },
  byRequest: true,
  key: ({ adId }) => `archive ad ${adId}`,
  words: () => 'Show the product there no more',
  group: () => 'Ended and lifted',
  purpose: () => 'other',
  entities: ({ adId, adGroupId, productId }) => ({ ad: adId, adGroup: adGroupId, product: productId }),
  sets: null,
  makes: null,
  present: ({ ad }) => ad?.state ?? null,
  isChangedSince: (_, present) => present !== 'archived',
  inverse: ({ adGroupId, productId }) => ({ kind: 'add-ad', adGroupId, productId }),
  check: () => [],
  touches: () => null,
  toMarket: ({ adId }, ids) => {
    const id = ids.ad(adId);
    return id ? { do: 'archive', entity: 'ads', id } : null;
  },
  accepted: ({ adId }) => ({ does: 'set', entity: 'ad', id: adId, values: { state: 'archived' } }),
};
