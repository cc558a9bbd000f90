import type { Day } from '../../core/units';
import { comparedWindow, readSpan } from '../../core/windows';
import { readFieldSums } from '../../db/queries/fieldSums';
import { readTotalSales } from '../../db/queries/totalSales';
import type { FieldSumsAnswer } from '../../contract/api';
import type { FieldQuery } from '../../contract/requests';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';

/**
 * The sums of a grain over a window and the one before it.
 * @param on a day that is past: windows end as they did then
 */
export async function loadFieldSums(
  { account: accountId, grain, from, to, versus }: FieldQuery,
  on?: Day,
): Promise<FieldSumsAnswer> {
  const account = await needAccount(accountId, on);
  const window = await chooseWindow(account, from, to);
  const before = comparedWindow(window, account, readSpan(versus));
  const [sums, totals] = await Promise.all([
    keptRead(
      `field ${accountId} ${grain} ${spanKey(window)} ${spanKey(before)}`,
      String(account.figures),
      () => readFieldSums(db(), accountId, grain, window, before),
    ),
    grain === 'target' || grain === 'ad-group' ? readTotalSales(db(), accountId, window) : null,
  ]);
  return { window, before, totals, ...sums };
}
