import { addDays } from '../../core/units';
import { settledWindow, unsettledDays, windowBefore } from '../../core/windows';
import type { TargetSumsAnswer } from '../../contract/api';
import { readTargetSums, TARGET_SUM_COLUMNS } from '../../db/queries/targetSums';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadCompletion } from '../sync/loadCompletion';

/** What sums by target are asked for. */
export interface TargetSumsRequest {
  account: number;
  days: number;
  /** Whether the window ends with the last day there is, or with the last settled one. */
  unsettled: 'left-out' | 'as-is';
}

/** The sums of every target over a window and the one before it, as columns. */
export async function loadTargetSums({
  account: accountId,
  days,
  unsettled,
}: TargetSumsRequest): Promise<TargetSumsAnswer> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const late = unsettled === 'as-is' ? 0 : unsettledDays(await loadCompletion(accountId, today));
  const window = settledWindow(account.lastDay ?? addDays(today, -1), today, days, late);
  const before = windowBefore(window);
  const rows = await readTargetSums(db(), accountId, window.from, window.to, before);
  const columns = Object.fromEntries(
    TARGET_SUM_COLUMNS.map((name, at) => [name, rows.map((row) => row[at])]),
  );
  return { window, before, sums: columns as unknown as TargetSumsAnswer['sums'] };
}
