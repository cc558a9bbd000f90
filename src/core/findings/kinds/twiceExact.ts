import { matchForm } from '../../matching';
import { groupBy } from '../../order';
import { isExactTarget } from '../../structure';
import { formatCount, formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runs } from '../given';

/** One term bid on exactly in two places of a product: the market plays whichever bids more, and each learns half. */
export const twiceExact: FindingSpec = {
  kind: 'twice-exact',
  label: 'Exact terms bid on in two places',
  usual:
    'One exact bid for a term of a product: two learn half each, and the higher one plays whatever the other says.',
  money: 'spend',
  find: (given) => {
    const { index, sums, perMonth } = given;
    const exact = index.tree.targets.filter((target) => isExactTarget(target) && runs(given, target));
    const groups = groupBy(
      exact,
      (target) =>
        `${index.placeOfTarget(target.id).productId} ${target.kind} ${matchForm(target.expression)}`,
    );
    return [...groups.values()].flatMap((list) => {
      if (list.length < 2) return [];
      // The one that has sold most, then been clicked most, stays.
      const [best, ...others] = [...list].sort(
        (a, b) =>
          sums(b.id).orders - sums(a.id).orders || sums(b.id).clicks - sums(a.id).clicks || a.id - b.id,
      );
      const home = index.adGroups.get(best.adGroupId)!;
      return others.map((target) => {
        const own = sums(target.id);
        return {
          entity: 'target' as const,
          id: target.id,
          ids: [target.id],
          money: own.spend * perMonth,
          words: `“${target.expression}” is bid on in “${index.campaigns.get(home.campaignId)?.name ?? ''}” too (${formatCount(sums(best.id).orders)} orders there, ${formatCount(own.orders)} here for ${formatMoney(own.spend)}).`,
          mend: [
            {
              kind: 'set-state' as const,
              entity: 'target' as const,
              id: target.id,
              from: 'enabled' as const,
              to: 'paused' as const,
            },
          ],
          otherwise: null,
        };
      });
    });
  },
};
