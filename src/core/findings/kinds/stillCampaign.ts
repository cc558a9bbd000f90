import { groupBy } from '../../order';
import { formatCount, formatDay } from '../../units';
import type { FindingSpec } from '../finding';
import { totalOf } from '../given';

/** Campaigns that are enabled and do nothing: ended, without targets, or never shown. */
export const stillCampaign: FindingSpec = {
  kind: 'still-campaign',
  label: 'Campaigns that run and do nothing',
  usual: 'An enabled campaign is shown. One that has ended or holds nothing that runs only hides what does.',
  money: 'spend',
  find: (given) => {
    const { index, sums, days } = given;
    const { tree } = index;
    const byCampaign = groupBy(
      tree.targets.filter(({ state }) => state === 'enabled'),
      ({ id }) => index.placeOfTarget(id).campaignId,
    );
    return tree.campaigns.flatMap(({ id, state, startsOn, endsOn }) => {
      if (state !== 'enabled' || (startsOn !== null && startsOn > tree.today)) return [];
      const targets = byCampaign.get(id) ?? [];
      const hasEnded = endsOn !== null && endsOn < tree.today;
      if (!hasEnded && totalOf(targets, sums).impressions > 0) return [];
      const why = hasEnded
        ? `It ended on ${formatDay(endsOn)}, and is enabled still.`
        : targets.length === 0
          ? 'It is enabled, and none of its targets runs.'
          : `None of its ${formatCount(targets.length)} targets was shown in ${formatCount(days)} days.`;
      return [
        {
          entity: 'campaign' as const,
          id,
          ids: [id],
          money: 0,
          words: why,
          mend: [
            {
              kind: 'set-state' as const,
              entity: 'campaign' as const,
              id,
              from: 'enabled' as const,
              to: 'paused' as const,
            },
          ],
          otherwise: null,
        },
      ];
    });
  },
};
