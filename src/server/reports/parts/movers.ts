import { findMovers } from '../../../core/lenses';
import { formatShare } from '../../../core/units';
import { acosOf, columns, groupsOf, tableOr, text } from '../reportAt';
import type { GroupSums, MakePart } from '../reportAt';

const MOST = 8;

/** Campaigns that explain most of what spend and sales moved. */
export const movers: MakePart = async (at) => {
  const campaigns = await groupsOf(at, 'campaign');
  return (['spend', 'sales'] as const).flatMap((key) => {
    const {
      movers: list,
      explained,
      others,
    } = findMovers(
      campaigns.map((_, index) => index),
      campaigns.map(({ now }) => now[key]),
      campaigns.map(({ before }) => before[key]),
      MOST,
    );
    const noun = key === 'spend' ? 'Spend' : 'Ad sales';
    return [
      tableOr(
        `${noun} did not move.`,
        `${noun}: campaigns that moved most`,
        columns(
          ['Campaign'],
          ['Before', 'money'],
          ['Now', 'money'],
          ['Change', 'money'],
          ['ACOS before', 'share'],
          ['ACOS', 'share'],
        ),
        list.map(({ row, now, before, move }) => {
          const one: GroupSums = campaigns[row];
          return [one.name, before, now, move, acosOf(one.before), acosOf(one.now)];
        }),
      ),
      ...(explained !== null && others > 0
        ? [
            text(
              `These explain ${formatShare(explained, 0)} of all that moved up or down; ${others === 1 ? 'one other moved' : `${others} others moved`} too.`,
            ),
          ]
        : []),
    ];
  });
};
