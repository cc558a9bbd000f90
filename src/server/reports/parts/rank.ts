import { rankEffectWords, rankValue } from '../../../core/rank';
import type { RankRow } from '../../../core/rank';
import { loadRank } from '../../rank/loadRank';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

const MOST = 8;

/** Where products stand without ads: what ads did to it, and the terms that rose and fell most. */
export const rank: MakePart = async ({ account }) => {
  const answer = await loadRank(account.id, 28);
  if (answer.days === null) return [text('No organic rank was brought to the account.')];
  const { rows, deepest } = answer;
  const moved = (row: RankRow) => rankValue('rank.change', row, deepest);
  const told = rows.filter((row) => moved(row) !== null && row.weeklySearches > 0);
  const byMove = (sign: 1 | -1) =>
    told
      .filter((row) => sign * moved(row)! > 0.1)
      .sort(
        (a, b) =>
          Math.abs(Math.log1p(moved(b)!)) * b.weeklySearches -
          Math.abs(Math.log1p(moved(a)!)) * a.weeklySearches,
      )
      .slice(0, MOST);
  const heads = columns(
    ['Term'],
    ['Product'],
    ['Rank before', 'rank'],
    ['Rank', 'rank'],
    ['Searches a week', 'count'],
    ['Ad spend', 'money'],
    ['Ad orders', 'count'],
  );
  const line = (row: RankRow) => [
    row.term,
    row.product,
    row.rankBefore,
    row.rank,
    row.weeklySearches,
    row.sums.spend,
    row.sums.orders,
  ];
  return [
    text(`Organic rank: ${rankEffectWords(answer.effect)}`),
    tableOr(
      'No term fell by a tenth or more.',
      'Fell most in 28 days, by searches',
      heads,
      byMove(1).map(line),
    ),
    tableOr(
      'No term rose by a tenth or more.',
      'Rose most in 28 days, by searches',
      heads,
      byMove(-1).map(line),
    ),
  ];
};
