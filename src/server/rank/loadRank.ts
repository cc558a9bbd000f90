import type { RankAnswer, RankSpan } from '../../contract/rank';
import { unpack } from '../../contract/packed';
import { USUAL_SHARE } from '../../core/rank';
import { addDays } from '../../core/units';
import type { Window } from '../../core/windows';
import { listPinned } from '../../db/queries/coreTerms';
import { findRankDays, listProductSales } from '../../db/queries/ranks';
import type { AccountRow } from '../../db/queries/accounts';
import type { RankFrom } from '../../plans/rank';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { keptRead } from '../context/keptReads';
import { chooseWindow } from '../accounts/chooseWindow';
import { standingLosses } from '../aside/losses';
import { db } from '../context/context';
import { loadTreeColumns } from '../field/loadTree';
import { askThread } from '../threads/askThread';
import { loadRankFeed } from './rankFeed';

/** Days of ranks and ads that are looked at, at most. */
export const RANK_HISTORY = 180;

/** Organic ranks of an account's products and terms beside their ads: the list, what ads did to ranks, and what a rank brings. */
export async function loadRank(accountId: number, span: RankSpan): Promise<RankAnswer> {
  const account = await needAccount(accountId);
  const [pinned, losses] = await Promise.all([listPinned(db(), accountId), standingLosses(accountId)]);
  // What it hangs on beside figures and entities is part of its stamp: half a million terms are gone through once.
  const stamp = JSON.stringify([account.revision, account.figures, todayOf(account), pinned, losses]);
  const accepted = new Map(losses.map(({ subject, until }) => [subject, until]));
  return keptRead(`rank ${accountId} ${span}`, stamp, () =>
    askRank(account, span, stamp, { pinned: [...pinned], accepted }),
  );
}

async function askRank(
  account: AccountRow,
  span: RankSpan,
  stamp: string,
  decided: Pick<RankFrom, 'pinned' | 'accepted'>,
): Promise<RankAnswer> {
  const { id } = account;
  const { to: settled } = await chooseWindow(account);
  const window = { from: addDays(settled, 1 - span), to: settled };
  const before = { from: addDays(window.from, -span), to: addDays(window.from, -1) };
  const told = await findRankDays(db(), id);
  if (!told) return nothingTold(window, before);
  const days = { from: later(told.from, addDays(told.to, 1 - RANK_HISTORY)), to: told.to };
  const load = async (): Promise<RankFrom> => {
    const [feed, sales, tree] = await Promise.all([
      loadRankFeed(id, days),
      listProductSales(db(), id, { from: days.from, to: settled }),
      loadTreeColumns(id),
    ]);
    return { span, days, window, before, feed, sales, tree, ...decided };
  };
  return unpack(await askThread('rank', { key: `${id} ${span}`, stamp, load }, 'list', {}));
}

const nothingTold = (window: Window, before: Window): RankAnswer => ({
  days: null,
  window,
  before,
  deepest: 1,
  effect: { verdict: 'early', days: 0, pairs: 0 },
  organic: USUAL_SHARE,
  rows: [],
});

const later = (a: string, b: string) => (a > b ? a : b);
