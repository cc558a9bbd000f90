import { isExactTarget } from '../../structure';
import { formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup, totalOf } from '../given';

/** Terms are found in an ad group, and what sells has nowhere to go. */
export const noRoute: FindingSpec = {
  kind: 'no-route',
  label: 'Research ad groups without a route',
  usual: 'What sells in a research ad group moves to a home with an exact bid: a route says which.',
  money: 'spend',
  find: (given) => {
    const { routes, sums, perMonth } = given;
    const routed = new Set(routes.map(({ sourceId }) => sourceId));
    return [...runningByAdGroup(given)].flatMap(([id, targets]) => {
      if (routed.has(id) || targets.every(isExactTarget)) return [];
      const own = totalOf(targets, sums);
      if (own.clicks === 0) return [];
      return [
        {
          entity: 'ad-group' as const,
          id,
          ids: [id],
          money: own.spend * perMonth,
          words: `It looks for terms and spent ${formatMoney(own.spend)}; terms that sell there move nowhere.`,
          mend: [],
          otherwise: 'Approve a route for it under Routes.',
        },
      ];
    });
  },
};
