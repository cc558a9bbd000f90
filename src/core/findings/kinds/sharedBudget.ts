import { groupBy } from '../../order';
import { formatMoney, formatShare } from '../../units';
import type { FindingSpec } from '../finding';
import { runningByAdGroup, totalOf } from '../given';

const MOST = 0.8;

/** Several ad groups share a budget, and one takes nearly all of it. */
export const sharedBudget: FindingSpec = {
  kind: 'shared-budget',
  label: 'Ad groups that share a budget unevenly',
  usual:
    'A campaign has one ad group, or several that share its budget: what one takes, the others cannot spend.',
  money: 'spend',
  find: (given) => {
    const { index, sums, perMonth } = given;
    const byCampaign = groupBy([...runningByAdGroup(given)], ([id]) => index.adGroups.get(id)!.campaignId);
    return [...byCampaign].flatMap(([campaignId, groups]) => {
      if (groups.length < 2) return [];
      const spent = groups
        .map(([id, targets]) => ({ id, spend: totalOf(targets, sums).spend }))
        .sort((a, b) => b.spend - a.spend);
      const all = spent.reduce((sum, { spend }) => sum + spend, 0);
      if (all === 0 || spent[0].spend < MOST * all) return [];
      return [
        {
          entity: 'campaign' as const,
          id: campaignId,
          ids: [campaignId],
          money: all * perMonth,
          words: `“${index.adGroups.get(spent[0].id)!.name}” takes ${formatShare(spent[0].spend / all, 0)} of ${formatMoney(all)}; ${groups.length - 1} others share the rest.`,
          mend: [],
          otherwise: 'Give the ad groups campaigns of their own.',
        },
      ];
    });
  },
};
