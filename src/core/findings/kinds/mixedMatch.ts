import { targetForm } from '../../structure';
import { formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup, totalOf } from '../given';

/** Keywords of several match types, or words and items, stand in one ad group. */
export const mixedMatch: FindingSpec = {
  kind: 'mixed-match',
  label: 'Match types mixed in one ad group',
  usual:
    'One match type an ad group: exact and broad bids of one ad group take each other’s terms, and share a budget.',
  money: 'spend',
  find: (given) => {
    const { sums, perMonth } = given;
    return [...runningByAdGroup(given)].flatMap(([id, targets]) => {
      const forms = [
        ...new Set(targets.map((one) => (one.kind === 'auto' ? 'automatic' : targetForm(one)))),
      ].sort();
      if (forms.length < 2) return [];
      const own = totalOf(targets, sums);
      return [
        {
          entity: 'ad-group' as const,
          id,
          ids: [id],
          money: own.spend * perMonth,
          words: `${forms.join(', ')} in one ad group that spent ${formatMoney(own.spend)}.`,
          mend: [],
          otherwise: 'Move one of them to an ad group of its own.',
        },
      ];
    });
  },
};
