import type { ChangeSpec } from './spec';

/** Advertises a product in an ad group. An ad goes with its ad group and is not undone by itself. */
export interface AddAd {
  kind: 'add-ad';
  adGroupId: number;
  productId: number;
}

export const addAd: ChangeSpec<AddAd> = {
  kind: 'add-ad',
  shape: { adGroupId: 'id', productId: 'id' },
  byRequest: true,
  key: ({ adGroupId, productId }) => `ad ${adGroupId} ${productId}`,
  words: () => 'Advertise the product there',
  group: () => 'Campaigns and ad groups',
  purpose: () => 'made',
  entities: ({ adGroupId, productId }) => ({ adGroup: adGroupId, product: productId }),
  sets: null,
  makes: 'ad',
  present: ({ made }) => made,
  isChangedSince: () => false,
  inverse: () => null,
  check: () => [],
  touches: () => null,
  toMarket: ({ adGroupId, productId }, ids) => {
    const [adGroup, product] = [ids.adGroup(adGroupId), ids.product(productId)];
    return adGroup && product
      ? { do: 'create', entity: 'ads', fields: { adGroupId: adGroup, productId: product } }
      : null;
  },
  accepted: ({ adGroupId, productId }) => ({ does: 'adopt-ad', adGroupId, productId }),
};
