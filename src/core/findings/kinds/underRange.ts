import { formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runs } from '../given';

/** Targets that were not shown, and bid less than the market's range begins with. */
export const underRange: FindingSpec = {
  kind: 'under-range',
  label: 'Bids under the market’s range',
  usual: 'A bid within the market’s range wins some of its auctions: one below it is hardly ever shown.',
  money: 'spend',
  find: (given) =>
    given.index.tree.targets.flatMap((target) => {
      const least = given.leastBid(target.id);
      const bid = target.bid ?? given.index.adGroups.get(target.adGroupId)?.defaultBid ?? null;
      if (least === null || bid === null || bid >= least) return [];
      if (!runs(given, target) || given.sums(target.id).impressions > 0) return [];
      return [
        {
          entity: 'target' as const,
          id: target.id,
          ids: [target.id],
          money: 0,
          words: `It bids ${formatMoney(bid)}; the market’s range begins at ${formatMoney(least)}. It was not shown once.`,
          mend: [{ kind: 'set-bid' as const, targetId: target.id, from: target.bid, to: least }],
          otherwise: null,
        },
      ];
    }),
};
