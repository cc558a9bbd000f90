import type { HoursAnswer, HoursQuery } from '../../contract/hours';
import { CELLS, hourCells, hoursWorth, rhythmOf, rhythmWithin, weekHours } from '../../core/hours';
import type { HourRows } from '../../core/hours';
import { addDays } from '../../core/units';
import { listWeekHours, spanOfHours } from '../../db/queries/hours';
import type { CampaignWeekHour } from '../../db/queries/hours';
import { chooseWindow } from '../accounts/chooseWindow';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** The hours of the week of an account or a part of it: what came, how well it sold, and what bids by the hour would be worth. */
export async function loadHours({ weeks, ...asked }: HoursQuery): Promise<HoursAnswer> {
  const account = await needAccount(asked.account);
  const window = await windowOf(account, weeks);
  const read = async (what: Omit<HoursQuery, 'weeks'>) =>
    window === null ? [] : [...(await listWeekHours(db(), what, window.from, window.to))];
  const whole = await read({ ...asked, scope: 'account', scopeId: 0 });
  const rows = asked.scope === 'account' ? whole : await read(asked);
  const cells = hourCells(columnsOf(rows));
  const all = rhythmOf(hourCells(columnsOf(whole)));
  const { rhythm, isOwn } =
    asked.scope === 'account' ? { rhythm: all, isOwn: true } : rhythmWithin(all, cells);
  const sum = (of: (row: CampaignWeekHour) => number) => {
    const sums = new Array<number>(CELLS).fill(0);
    for (const row of rows) sums[row.cell] += of(row);
    return sums;
  };
  return {
    window,
    timeZone: account.timeZone,
    times:
      window === null
        ? new Array<number>(CELLS).fill(0)
        : [...weekHours(window.from, window.to, account.timeZone)],
    impressions: sum((row) => row.impressions),
    clicks: sum((row) => row.clicks),
    spend: sum((row) => row.spend),
    orders: sum((row) => row.orders),
    sales: sum((row) => row.sales),
    factor: [...rhythm.factor],
    sd: [...rhythm.sd],
    weekday: [...rhythm.weekday],
    weekdaySd: [...rhythm.weekdaySd],
    hour: [...rhythm.hour],
    hourSd: [...rhythm.hourSd],
    worth: hoursWorth(cells, rhythm),
    isOwn,
  };
}

/** Whole weeks up to the last settled day, as far back as hours are known; null where no week is. */
async function windowOf(
  account: Awaited<ReturnType<typeof needAccount>>,
  weeks: number,
): Promise<{ from: string; to: string } | null> {
  const { first, last } = await spanOfHours(db(), account.id);
  if (first === null || last === null) return null;
  const { to: settled } = await chooseWindow(account);
  const to = settled < last ? settled : last;
  for (let count = weeks; count > 0; count -= 1) {
    const from = addDays(to, 1 - 7 * count);
    if (from >= first) return { from, to };
  }
  return null;
}

const columnsOf = (rows: readonly CampaignWeekHour[]): HourRows => ({
  campaign: rows.map((row) => row.campaign),
  cell: rows.map((row) => row.cell),
  clicks: rows.map((row) => row.clicks),
  orders: rows.map((row) => row.orders),
});
