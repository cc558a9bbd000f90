import { formatCount, formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup, totalOf } from '../given';

/** Targets with spend in one ad group, at most. */
const MOST = 30;

/** So many targets share one ad group that its bids and its budget cannot be steered. */
export const crowded: FindingSpec = {
  kind: 'crowded',
  label: 'Crowded ad groups',
  usual: `At most ${MOST} targets with spend in an ad group: beyond that a few take the budget, and the rest is never learnt.`,
  money: 'spend',
  find: (given) => {
    const { sums, perMonth } = given;
    return [...runningByAdGroup(given)].flatMap(([id, targets]) => {
      const spending = targets.filter((target) => sums(target.id).spend > 0);
      if (spending.length <= MOST) return [];
      const own = totalOf(spending, sums);
      return [
        {
          entity: 'ad-group' as const,
          id,
          ids: [id],
          money: own.spend * perMonth,
          words: `${formatCount(spending.length)} targets spent ${formatMoney(own.spend)} in it; ${formatCount(targets.length - spending.length)} more run and spent nothing.`,
          mend: [],
          otherwise: 'Move some of them to another campaign.',
        },
      ];
    });
  },
};
