import { addDays } from '../../core/units';
import {
  daysOfWindow,
  settledWindow,
  sumsIn,
  UNSETTLED_DAYS,
  unsettledDays,
  WINDOW_DAYS,
  withWholeSums,
} from '../../core/windows';
import type { SettledWindow } from '../../core/windows';
import { MowingError } from '../../contract/mowingError';
import type { AccountRow } from '../../db/queries/accounts';
import { loadCompletion } from '../sync/loadCompletion';
import { needAccount } from './accounts';
import { todayOf } from './today';

/**
 * The window that is asked for, in days or in words ("last60" to "settled"), or the usual one: the last 30 settled days. Where figures came
 * summed over several days, it holds those sums whole.
 * @throws MowingError when it ends before it begins
 */
export async function chooseWindow(account: AccountRow, from?: string, to?: string): Promise<SettledWindow> {
  const today = todayOf(account);
  // Where nothing is known of how late orders arrive (a file tells nothing of it), a plain rule holds.
  const late =
    account.marketId === null ? UNSETTLED_DAYS : unsettledDays(await loadCompletion(account.id, today));
  const usual = settledWindow(account.lastDay ?? addDays(today, -1), today, WINDOW_DAYS, late);
  if (from === undefined || to === undefined) return whole(account, usual);
  const days = daysOfWindow(from, to, usual.to);
  if (days.from > days.to)
    throw new MowingError('bad-request', `The window ends (${days.to}) before it begins (${days.from}).`);
  // Days inside a chosen window that are not settled are told, not left out: she asked for them.
  return whole(account, { ...days, unsettled: usual.unsettled });
}

/** The same by the account's id. @throws MowingError when there is no such account */
export const loadWindow = async (accountId: number, from?: string, to?: string): Promise<SettledWindow> =>
  chooseWindow(await needAccount(accountId), from, to);

function whole({ sums }: AccountRow, window: Omit<SettledWindow, 'sums'>): SettledWindow {
  const days = withWholeSums(window, sums);
  return { ...days, unsettled: window.unsettled.filter((day) => day > days.to), sums: sumsIn(days, sums) };
}
