import { formatMoney, formatShare } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup } from '../given';

/** A group with fewer clicks says nothing of how it sells. */
const LEAST_CLICKS = 30;
/** An ACOS so many times another one. */
const APART = 1.8;

/** Automatic groups that sell very differently share one ad group, and so one budget. */
export const mixedGroups: FindingSpec = {
  kind: 'mixed-groups',
  label: 'Automatic groups mixed in one ad group',
  usual:
    'Each automatic group by itself where they sell differently: searches and items of others want budgets of their own.',
  money: 'spend',
  find: (given) =>
    [...runningByAdGroup(given)].flatMap(([id, targets]) => {
      const groups = targets
        .filter(({ kind }) => kind === 'auto')
        .map(({ expression, id: target }) => ({ expression, ...given.sums(target) }))
        .filter(({ clicks }) => clicks >= LEAST_CLICKS)
        .map((one) => ({ ...one, acos: one.sales > 0 ? one.spend / one.sales : Infinity }))
        .sort((a, b) => a.acos - b.acos);
      const [best, worst] = [groups[0], groups.at(-1)];
      if (!best || !worst || best === worst || !(worst.acos >= APART * best.acos)) return [];
      const spend = groups.reduce((sum, one) => sum + one.spend, 0);
      const told = ({ expression, acos, spend: own }: (typeof groups)[number]) =>
        `“${expression}” ${acos === Infinity ? 'sold nothing' : `at an ACOS of ${formatShare(acos, 0)}`} for ${formatMoney(own)}`;
      return [
        {
          entity: 'ad-group' as const,
          id,
          ids: [id],
          money: spend * given.perMonth,
          words: `${told(best)}, ${told(worst)}, from one budget.`,
          mend: [],
          otherwise: 'Plan the groups apart, one campaign each.',
        },
      ];
    }),
};
