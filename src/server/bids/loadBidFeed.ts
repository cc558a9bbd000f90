import { HISTORY_DAYS } from '../../core/bids';
import type { BidFeed, SummedAges } from '../../core/bids';
import { kindsThat } from '../../core/changes';
import { addDays, dayNumber, DAYS_PER_MONTH } from '../../core/units';
import type { Day } from '../../core/units';
import {
  listBefore,
  listBidChanges,
  listModifierChanges,
  readBidDays,
  listTestCosts,
} from '../../db/queries/bidFeed';
import {
  listBudgetDays,
  listEvenlyPaced,
  readNearHours,
  readOpenDays,
  sumByHour,
  sumSpend,
} from '../../db/queries/budgetFeed';
import { DRY_DAYS, PROFILE_DAYS } from '../../core/budgets';
import { lastDayOfMonth, monthOf } from '../../core/pace';
import { listSummed } from '../../db/queries/summed';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { loadCompletion } from '../sync/loadCompletion';

/** A day that is past: what it did not know is left out, save changes of bids since; and how far is looked back. */
export interface FeedAsked {
  on?: Day;
  lookBack?: number;
}

/**
 * What bids are worked out from. The day of decision is the one after the last with data: what came later is not known.
 */
export async function loadBidFeed(accountId: number, { on, lookBack }: FeedAsked = {}): Promise<BidFeed> {
  const account = await needAccount(accountId);
  const today = on ?? (account.lastDay === null ? todayOf(account) : addDays(account.lastDay, 1));
  const from = addDays(today, -Math.min(HISTORY_DAYS, lookBack ?? HISTORY_DAYS));
  const hoursFrom = addDays(today, -PROFILE_DAYS);
  const month = monthOf(today);
  const kept = <T>(what: string, read: () => Promise<T>) =>
    keptRead(`bids ${accountId} ${what} ${from} ${today}`, String(account.figures), read);
  const [
    { days, placements, kind },
    bidChanges,
    modifierChanges,
    before,
    tests,
    completion,
    summed,
    openDays,
    nearHours,
    evenPaced,
    byHour,
    budgetDays,
    spent,
  ] = await Promise.all([
    kept('days', () => readBidDays(db(), accountId, from, today)),
    listBidChanges(
      db(),
      accountId,
      kindsThat(({ sets }) => sets === 'bid'),
      from,
    ),
    listModifierChanges(
      db(),
      accountId,
      kindsThat(({ sets }) => sets === 'modifier'),
      from,
    ),
    listBefore(db(), accountId, from),
    listTestCosts(db(), accountId, addDays(today, -Math.round(DAYS_PER_MONTH))),
    loadCompletion(accountId, today),
    account.sums.length > 0 ? listSummed(db(), accountId) : [],
    kept('open days', () => readOpenDays(db(), accountId, hoursFrom, today)),
    kept(`near hours ${account.revision}`, () =>
      readNearHours(db(), accountId, addDays(today, -DRY_DAYS), today),
    ),
    listEvenlyPaced(db(), accountId),
    kept('by hour', () => sumByHour(db(), accountId, hoursFrom, today)),
    listBudgetDays(db(), accountId),
    kept('spend', () => sumSpend(db(), accountId, month, today)),
  ]);
  const ageOf = (day: string) => dayNumber(today) - 1 - dayNumber(day);
  const agesOf = (of: string): SummedAges[] =>
    summed.flatMap((one) =>
      one.kind === of
        ? [{ standsOn: ageOf(one.standsOn), youngest: ageOf(one.to), oldest: ageOf(one.from) }]
        : [],
    );
  return {
    days,
    placements,
    openDays,
    nearHours,
    today,
    completion: completion.map(({ share }) => share),
    bidChanges,
    modifierChanges,
    before,
    testsUsed: tests.reduce((sum, { cost }) => sum + cost, 0),
    tests,
    byHour,
    evenPaced,
    budgetDays,
    month: { spent, daysLeft: dayNumber(lastDayOfMonth(today)) - dayNumber(today) + 1 },
    sums: { targets: agesOf(kind), placements: agesOf('placements') },
  };
}
