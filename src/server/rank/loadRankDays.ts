import type { RankDaysAnswer } from '../../contract/rank';
import { MowingError } from '../../contract/mowingError';
import { addDays, daysIn } from '../../core/units';

import { findRankDays, listProductSales, listTargetsOfTerm } from '../../db/queries/ranks';
import { countChangeDays } from '../../db/queries/rowHistory';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { loadRankFeed } from './rankFeed';

/** Longest time line. */
const MOST_DAYS = 400;

/** A product's term day by day, to the last day that is known. @throws MowingError where it was never ranked, or for a span too long */
export async function loadRankDays(
  accountId: number,
  productId: number,
  termId: number,
  span: { from: string; to: string } | number,
): Promise<RankDaysAnswer> {
  const account = await needAccount(accountId);
  const told = await findRankDays(db(), accountId);
  if (!told) throw new MowingError('not-found', 'No organic ranks were brought yet.');
  // Days before anything was told would be drawn as days without ads.
  const { from, to } =
    typeof span === 'number'
      ? { from: [addDays(told.to, 1 - span), told.from].sort()[1], to: told.to }
      : span;
  const count = daysIn(from, to);
  if (from > to || count > MOST_DAYS)
    throw new MowingError('bad-request', `A time line has 1 to ${MOST_DAYS} days; ${from} to ${to} has not.`);
  const [feed, all, targets, { to: settledTo }] = await Promise.all([
    loadRankFeed(accountId, { from, to }, { productId, termId }),
    listProductSales(db(), accountId, { from, to }, productId),
    listTargetsOfTerm(db(), accountId, productId, termId, { from, to }),
    chooseWindow(account),
  ]);
  const blank = (): (number | null)[] => new Array<number | null>(count).fill(null);
  const zeros = () => new Array<number>(count).fill(0);
  const answer: RankDaysAnswer = {
    from,
    rank: blank(),
    searches: blank(),
    clicks: zeros(),
    spend: zeros(),
    orders: zeros(),
    sales: zeros(),
    allOrders: blank(),
    allSales: blank(),
    changes: await countChangeDays(db(), accountId, { lens: 'targets', ids: targets }, from, to),
    settledTo,
  };
  for (const { term, ads } of feed.pairs) {
    term.at.forEach((day, at) => {
      answer.rank[day] = term.rank[at];
      answer.searches[day] = term.searches[at];
    });
    for (const one of ads)
      one.at.forEach((day, at) => {
        for (const key of ['clicks', 'spend', 'orders', 'sales'] as const) answer[key][day] += one[key][at];
      });
  }
  for (const { at, orders, sales } of all) {
    answer.allOrders[at] = orders;
    answer.allSales[at] = sales;
  }
  return answer;
}
