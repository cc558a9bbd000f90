import type { HoursQuery } from '../../contract/hours';
import type { HourFigures } from '../../plans/hours';
import { addDays } from '../../core/units';
import { listWeekHours, spanOfHours } from '../../db/queries/hours';
import type { CampaignWeekHour } from '../../db/queries/hours';
import type { AccountRow } from '../../db/queries/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';

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

/** Each campaign's hours of the week over a window; none without one. */
export const readWeekRows = async (
  asked: Omit<HoursQuery, 'weeks' | 'until'>,
  window: { from: string; to: string } | null,
): Promise<CampaignWeekHour[]> =>
  window === null ? [] : [...(await listWeekHours(db(), asked, window.from, window.to))];

/** The same as columns. */
export const columnsOf = (rows: readonly CampaignWeekHour[]): HourFigures => ({
  campaign: rows.map((row) => row.campaign),
  cell: rows.map((row) => row.cell),
  clicks: rows.map((row) => row.clicks),
  orders: rows.map((row) => row.orders),
  spend: rows.map((row) => row.spend),
  sales: rows.map((row) => row.sales),
});
