import type { Target } from '../../structure';
import { formatCount } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup } from '../given';

/** Targets that run and were not shown once in the window. */
export const neverShown: FindingSpec = {
  kind: 'never-shown',
  label: 'Targets that never showed',
  usual:
    'A target that runs is shown: else its bid is under what the market asks, it is blocked, or nobody searches it.',
  money: 'spend',
  find: (given) => {
    const { sums, days, structure } = given;
    return [...runningByAdGroup(given)].flatMap(([id, targets]) => {
      // What has no stock or bids under the market's range is told by itself.
      const isTold = ({ id: target, bid }: Target) => {
        const least = given.leastBid(target);
        const own = bid ?? given.index.adGroups.get(id)?.defaultBid ?? null;
        return (
          (least !== null && own !== null && own < least) ||
          given.index.products.get(given.index.placeOfTarget(target).productId)?.stock === 0
        );
      };
      const still = targets.filter((target) => sums(target.id).impressions === 0 && !isTold(target));
      if (still.length === 0) return [];
      const adGroup = structure.adGroup(id)!;
      const blocked = still.filter(
        ({ kind, expression }) =>
          kind === 'keyword' && structure.isNegativeIn(expression.toLowerCase(), adGroup),
      );
      return [
        {
          entity: 'ad-group' as const,
          id,
          ids: [id],
          money: 0,
          words: `${formatCount(still.length)} of ${formatCount(targets.length)} targets were not shown in ${formatCount(days)} days${
            blocked.length > 0 ? `; ${formatCount(blocked.length)} of them are blocked by a negative` : ''
          }: ${still
            .slice(0, 3)
            .map(({ expression }) => `“${expression}”`)
            .join(', ')}${still.length > 3 ? ' …' : '.'}`,
          mend: still.map(({ id: target }) => ({
            kind: 'set-state' as const,
            entity: 'target' as const,
            id: target,
            from: 'enabled' as const,
            to: 'paused' as const,
          })),
          otherwise: null,
        },
      ];
    });
  },
};
