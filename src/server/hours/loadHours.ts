import type { HoursAnswer, HoursQuery } from '../../contract/hours';
import { CELLS, hourCells, hoursWorth, rhythmOf, rhythmWithin, weekHours } from '../../core/hours';
import type { WeekHours } from '../../db/queries/hours';
import { needAccount } from '../accounts/accounts';
import { weekdayTotals } from './weekdayTotals';
import { readWeekRows, weeksOf } from './weekRows';

/** The hours of the week of an account or a part of it: what came, how well it sold, and what bids by the hour would be worth. */
export async function loadHours({ weeks, until, ...asked }: HoursQuery): Promise<HoursAnswer> {
  const account = await needAccount(asked.account);
  const window = await weeksOf(account, weeks, until);
  const whole = await readWeekRows(account, { scope: 'account', scopeId: 0 }, window);
  const rows = asked.scope === 'account' ? whole : await readWeekRows(account, asked, window);
  const cells = hourCells(rows);
  const all = rhythmOf(hourCells(whole));
  const { rhythm, isOwn } =
    asked.scope === 'account' ? { rhythm: all, isOwn: true } : rhythmWithin(all, cells);
  const sum = (figure: keyof WeekHours) => {
    const sums = new Array<number>(CELLS).fill(0);
    for (let row = 0; row < rows.cell.length; row += 1) sums[rows.cell[row]] += rows[figure][row];
    return sums;
  };
  const spend = sum('spend');
  return {
    window: window && { from: window.from, to: window.to },
    timeZone: account.timeZone,
    times:
      window === null
        ? new Array<number>(CELLS).fill(0)
        : [...weekHours(window.from, window.to, account.timeZone)],
    impressions: sum('impressions'),
    clicks: sum('clicks'),
    spend,
    orders: sum('orders'),
    sales: sum('sales'),
    factor: [...rhythm.factor],
    sd: [...rhythm.sd],
    weekday: [...rhythm.weekday],
    weekdaySd: [...rhythm.weekdaySd],
    hour: [...rhythm.hour],
    hourSd: [...rhythm.hourSd],
    totals: await weekdayTotals(asked, window, spend),
    worth: hoursWorth(cells, rhythm),
    isOwn,
  };
}
