import type { HoursQuery } from '../../contract/hours';
import { addDays } from '../../core/units';
import { readWeekHours, spanOfHours, WEEK_HOUR_COLUMNS } from '../../db/queries/hours';
import type { WeekHours } from '../../db/queries/hours';
import type { AccountRow } from '../../db/queries/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';

/** Whole weeks up to a day, the last settled one unless told otherwise, as far back as hours are known; null where no week is. */
export async function weeksOf(
  account: AccountRow,
  weeks: number,
  until?: string,
): Promise<{ from: string; to: string; weeks: number } | null> {
  const { first, last } = await spanOfHours(db(), account.id);
  if (first === null || last === null) return null;
  const { to: settled } = await chooseWindow(account);
  const to = [settled, last, until ?? last].reduce((a, b) => (a < b ? a : b));
  for (let count = weeks; count > 0; count -= 1) {
    const from = addDays(to, 1 - 7 * count);
    if (from >= first) return { from, to, weeks: count };
  }
  return null;
}

const NONE = Object.fromEntries(WEEK_HOUR_COLUMNS.map((name) => [name, new Int32Array(0)])) as WeekHours;

/** Each campaign's hours of the week over a window; none without one. */
export async function readWeekRows(
  { id, revision, figures }: AccountRow,
  { scope, scopeId }: Pick<HoursQuery, 'scope' | 'scopeId'>,
  window: { from: string; to: string } | null,
): Promise<WeekHours> {
  if (window === null) return NONE;
  // Which campaigns are of a line or product may change without new figures.
  const stamp = scope === 'account' ? String(figures) : `${revision} ${figures}`;
  return keptRead(`hours ${id} ${scope} ${scopeId} ${spanKey(window)}`, stamp, () =>
    readWeekHours(db(), { account: id, scope, scopeId }, window.from, window.to),
  );
}
