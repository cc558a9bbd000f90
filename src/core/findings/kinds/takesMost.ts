import { groupBy } from '../../order';
import { formatMoney, formatShare } from '../../units';
import type { FindingSpec } from '../finding';
import { runs, totalOf } from '../given';

/** Of its campaign's spend, with so many targets at least and so much budget used. */
const [MOST, LEAST_TARGETS, USED] = [0.6, 5, 0.6];

/** One target takes most of what its campaign may spend. */
export const takesMost: FindingSpec = {
  kind: 'takes-most',
  label: 'Targets that take most of a budget',
  usual: 'No target takes more than 60 % of a budget that is mostly used: the others are starved by it.',
  money: 'spend',
  find: (given) => {
    const { index, sums, perMonth, days } = given;
    const byCampaign = groupBy(
      index.tree.targets.filter((target) => runs(given, target)),
      ({ id }) => index.placeOfTarget(id).campaignId,
    );
    return [...byCampaign].flatMap(([campaignId, targets]) => {
      const campaign = index.campaigns.get(campaignId);
      const all = totalOf(targets, sums);
      if (!campaign || targets.length < LEAST_TARGETS || campaign.budgetKind !== 'daily' || !campaign.budget)
        return [];
      if (all.spend < USED * campaign.budget * days) return [];
      return targets
        .filter(({ id }) => sums(id).spend > MOST * all.spend)
        .map((target) => ({
          entity: 'target' as const,
          id: target.id,
          ids: [target.id],
          money: sums(target.id).spend * perMonth,
          words: `“${target.expression}” takes ${formatShare(sums(target.id).spend / all.spend, 0)} of what its campaign spends (${formatMoney(sums(target.id).spend)} of ${formatMoney(all.spend)}), before ${targets.length - 1} others.`,
          mend: [],
          otherwise: 'Give it a campaign of its own in the step of budgets.',
        }));
    });
  },
};
