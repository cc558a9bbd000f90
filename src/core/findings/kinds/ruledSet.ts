import type { Change } from '../../changes';
import type { FindingSpec } from '../finding';

/** A set of products that follows a rule: some fit now that have no ad, or have one and fit no more. */
export const ruledSet: FindingSpec = {
  kind: 'ruled-set',
  label: 'Product sets that their rule has left behind',
  usual:
    'The ads of a set show the products that fit its rule today: prices, margins, stock and discounts move.',
  money: 'spend',
  find: ({ sets, index }) =>
    sets.flatMap(({ adGroupId, has, wants }) => {
      const adGroup = index.adGroups.get(adGroupId);
      if (!adGroup || !index.campaignRuns(adGroup.campaignId)) return [];
      const shown = new Set(has.map(({ productId }) => productId));
      const fits = new Set(wants);
      const come = wants.filter((id) => !shown.has(id));
      const gone = has.filter(({ productId }) => !fits.has(productId));
      if (come.length + gone.length === 0) return [];
      const nameOf = (id: number) => `“${index.products.get(id)?.name ?? id}”`;
      const words = [
        ...(come.length > 0 ? [`${come.map(nameOf).join(', ')} fit its rule now`] : []),
        ...(gone.length > 0
          ? [`${gone.map(({ productId }) => nameOf(productId)).join(', ')} fit no more`]
          : []),
      ];
      const mend: Change[] = [
        ...come.map((productId) => ({ kind: 'add-ad' as const, adGroupId, productId })),
        ...gone.map(({ productId, adId }) => ({ kind: 'archive-ad' as const, adGroupId, productId, adId })),
      ];
      return [
        {
          entity: 'ad-group' as const,
          id: adGroupId,
          ids: [adGroupId],
          money: 0,
          words: `${words.join('; ')}.`,
          mend,
          otherwise: null,
        },
      ];
    }),
};
