import { groupBy } from '../../order';
import { formatCount, formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runs, totalOf } from '../given';

/** A product that is advertised has nothing left to sell. */
export const noStock: FindingSpec = {
  kind: 'no-stock',
  label: 'Advertised without stock',
  usual: 'Ads of what is sold out are not shown; what is nearly sold out needs no bids that sell it faster.',
  money: 'sales',
  find: (given) => {
    const { index, sums, perMonth } = given;
    const byProduct = groupBy(
      index.tree.targets.filter((target) => runs(given, target)),
      ({ id }) => index.placeOfTarget(id).productId,
    );
    return [...byProduct].flatMap(([id, targets]) => {
      if (index.products.get(id)?.stock !== 0) return [];
      const all = totalOf(targets, sums);
      return [
        {
          entity: 'product' as const,
          id,
          ids: [id],
          money: all.sales * perMonth,
          words: `None is left; ${formatCount(targets.length)} targets bid on it, and sold ${formatMoney(all.sales)} in the window.`,
          mend: [],
          otherwise: 'Nothing is shown until it is delivered.',
        },
      ];
    });
  },
};
