import { groupBy } from '../../order';
import { isExactTarget } from '../../structure';
import { counted, formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { added, runs } from '../given';
import type { FoundSums } from '../given';

/** A term that has an exact bid of its own is still caught where terms are looked for. */
export const notBlocked: FindingSpec = {
  kind: 'not-blocked',
  label: 'Cross-negatives that are missing',
  usual:
    'A term with an exact bid of its own is negative where the product looks for terms: else two bids share it.',
  money: 'spend',
  find: (given) => {
    const { structure, index, terms, perMonth } = given;
    const caught = terms.filter(({ targetId }) => {
      const target = index.targets.get(targetId);
      return target !== undefined && !isExactTarget(target) && runs(given, target);
    });
    const groups = groupBy(
      caught,
      ({ targetId, form }) => `${index.placeOfTarget(targetId).adGroupId} ${form}`,
    );
    return [...groups.values()].flatMap((list) => {
      const [{ targetId, termId, form, text }] = list;
      const { adGroupId, campaignId, productId } = index.placeOfTarget(targetId);
      const adGroup = index.adGroups.get(adGroupId)!;
      const home = structure
        .exactTargets(form)
        .find(
          (target) =>
            target.kind === 'keyword' &&
            runs(given, target) &&
            index.placeOfTarget(target.id).productId === productId,
        );
      if (!home || structure.isNegativeIn(form, adGroup)) return [];
      const own = list.reduce<FoundSums>((sum, one) => added(sum, one), NONE);
      const campaign = index.campaigns.get(index.placeOfTarget(home.id).campaignId)?.name ?? '';
      return [
        {
          entity: 'ad-group' as const,
          id: adGroupId,
          ids: [adGroupId, termId],
          money: own.spend * perMonth,
          words: `“${text}” has an exact bid in “${campaign}”, and is still caught here: ${counted(own.clicks, 'click')} for ${formatMoney(own.spend)}, ${counted(own.orders, 'order')}.`,
          mend: [
            {
              kind: 'add-negative' as const,
              campaignId,
              adGroupId,
              match: 'exact' as const,
              expression: text,
            },
          ],
          otherwise: null,
        },
      ];
    });
  },
};

const NONE: FoundSums = { impressions: 0, clicks: 0, orders: 0, spend: 0, sales: 0 };
