import type { HoursAnswer, HoursQuery } from '../../contract/hours';
import { CELLS, hourCells, hoursWorth, rhythmOf, rhythmWithin, weekHours } from '../../core/hours';
import type { CampaignWeekHour } from '../../db/queries/hours';
import { needAccount } from '../accounts/accounts';
import { weekdayTotals } from './weekdayTotals';
import { columnsOf, readWeekRows, weeksOf } from './weekRows';

/** The hours of the week of an account or a part of it: what came, how well it sold, and what bids by the hour would be worth. */
export async function loadHours({ weeks, until, ...asked }: HoursQuery): Promise<HoursAnswer> {
  const account = await needAccount(asked.account);
  const window = await weeksOf(account, weeks, until);
  const whole = await readWeekRows({ ...asked, scope: 'account', scopeId: 0 }, window);
  const rows = asked.scope === 'account' ? whole : await readWeekRows(asked, window);
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
    window: window && { from: window.from, to: window.to },
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
    totals: await weekdayTotals(asked, window, rows),
    worth: hoursWorth(cells, rhythm),
    isOwn,
  };
}
