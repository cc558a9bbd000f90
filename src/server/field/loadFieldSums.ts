import type { Day } from '../../core/units';
import { comparedWindow, readSpan } from '../../core/windows';
import { readFieldSums } from '../../db/queries/fieldSums';
import { readTotalSales } from '../../db/queries/totalSales';
import type { FieldQuery } from '../../contract/requests';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';

/**
 * The sums of a grain over a window and the one before it, as the text of a FieldSumsAnswer. Made of columns that the
 * database printed: they pass through as they are.
 * @param on a day that is past: windows end as they did then
 */
export async function loadFieldSums(
  { account: accountId, grain, from, to, versus }: FieldQuery,
  on?: Day,
): Promise<string> {
  const account = await needAccount(accountId, on);
  const window = await chooseWindow(account, from, to);
  const before = comparedWindow(window, account, readSpan(versus));
  const [{ columns, without, terms }, totals] = await Promise.all([
    readFieldSums(db(), accountId, grain, window, before),
    grain === 'target' ? readTotalSales(db(), accountId, window) : null,
  ]);
  const parts = Object.entries(columns).map(([name, numbers]) => `${JSON.stringify(name)}:[${numbers}]`);
  return (
    `{"window":${JSON.stringify(window)},"before":${JSON.stringify(before)},"without":${JSON.stringify(without)},` +
    `"totals":${JSON.stringify(totals)},"columns":{${parts.join(',')}},"terms":{"id":[${terms.id}],"first":[${terms.first}],"text":${terms.text}}}`
  );
}
