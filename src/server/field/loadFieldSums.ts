import { sumsByAdGroup } from '../../core/lenses';
import type { Day } from '../../core/units';
import { comparedWindow, readSpan } from '../../core/windows';
import { readFieldSums } from '../../db/queries/fieldSums';
import type { FieldGrain } from '../../db/queries/fieldSums';
import { readTotalSales } from '../../db/queries/totalSales';
import type { FieldSumsAnswer } from '../../contract/api';
import type { FieldQuery } from '../../contract/requests';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';
import { loadTargets } from './loadTree';

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
  const spans = `${spanKey(window)} ${spanKey(before)}`;
  const kept = (of: FieldGrain) =>
    keptRead(`field ${accountId} ${of} ${spans}`, String(account.figures), () =>
      readFieldSums(db(), accountId, of, window, before),
    );
  // Which ad group a target stands in is in memory, as its sums are: the database is not asked once more.
  const byAdGroup = () =>
    keptRead(`field ${accountId} ad-group ${spans}`, `${account.revision} ${account.figures}`, async () => {
      const [sums, targets] = await Promise.all([kept('target'), loadTargets(account)]);
      return { ...sums, columns: sumsByAdGroup(sums.columns, targets) };
    });
  const totalSales = () =>
    keptRead(`total sales ${accountId} ${spanKey(window)}`, String(account.figures), () =>
      readTotalSales(db(), accountId, window),
    );
  const [sums, totals] = await Promise.all([
    grain === 'ad-group' ? byAdGroup() : kept(grain),
    grain === 'target' || grain === 'ad-group' ? totalSales() : null,
  ]);
  return { window, before, totals, ...sums };
}
