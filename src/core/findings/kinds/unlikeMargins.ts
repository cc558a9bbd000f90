import { groupBy } from '../../order';
import { formatMoney, formatShare } from '../../units';
import type { FindingSpec } from '../finding';
import { runs, totalOf } from '../given';

/** Margins that differ by more than this, share of price, want different bids. */
const APART = 0.15;

/** One campaign advertises products whose margins differ much: one target ACOS cannot suit both. */
export const unlikeMargins: FindingSpec = {
  kind: 'unlike-margins',
  label: 'Very different margins in one campaign',
  usual:
    'Products of one campaign leave a like share of their price: one budget and one target then suit them all.',
  money: 'spend',
  find: (given) => {
    const { index, sums, perMonth } = given;
    const byCampaign = groupBy(
      index.tree.targets.filter((target) => runs(given, target)),
      ({ id }) => index.placeOfTarget(id).campaignId,
    );
    return [...byCampaign].flatMap(([id, targets]) => {
      const products = new Set(targets.map((target) => index.placeOfTarget(target.id).productId));
      const known = [...products]
        .flatMap((product) => {
          const node = index.products.get(product);
          return node && node.margin !== null ? [{ name: node.name, margin: node.margin }] : [];
        })
        .sort((a, b) => a.margin - b.margin);
      if (known.length < 2 || known.at(-1)!.margin - known[0].margin < APART) return [];
      const all = totalOf(targets, sums);
      return [
        {
          entity: 'campaign' as const,
          id,
          ids: [id],
          money: all.spend * perMonth,
          words: `“${known[0].name}” leaves ${formatShare(known[0].margin, 0)} of its price, “${known.at(-1)!.name}” ${formatShare(known.at(-1)!.margin, 0)}; it spent ${formatMoney(all.spend)}.`,
          mend: [],
          otherwise: 'Give them campaigns of their own.',
        },
      ];
    });
  },
};
