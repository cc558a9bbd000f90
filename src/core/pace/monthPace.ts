import { addDays, dayNumber, daysIn } from '../units';
import type { Day, Micros } from '../units';

/** How far a month is toward its goal. Money in micros. */
export interface MonthPace {
  month: Day;
  /** Days with data, of all days of the month. */
  daysGone: number;
  days: number;
  done: Micros;
  /** What the month will come to at this rate; null before the first whole day. */
  forecast: Micros | null;
  goal: Micros | null;
  /** Done as a share of what should be done by now; null without a goal. */
  pace: number | null;
}

/** First day of the month of a day. */
export const monthOf = (day: Day): Day => `${day.slice(0, 7)}-01`;

/** Last day of the month of a day. */
export function lastDayOfMonth(day: Day): Day {
  const [year, month] = day.split('-').map(Number);
  const next = month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
  return addDays(next, -1);
}

/** Weekday of a day, 0 = Monday. */
const weekdayOf = (day: Day) => (dayNumber(day) + 3) % 7;

/**
 * Month to date against its goal. A day counts as much as its weekday usually does (weight from the days before the
 * month), so a month that began with a weekend is not behind for it. Forecast = done / share of the weights gone.
 * @param amounts day -> micros, of the month so far and of the weeks before
 * @param last last day with data
 */
export function monthPace(amounts: ReadonlyMap<Day, Micros>, last: Day, goal: Micros | null): MonthPace {
  const month = monthOf(last);
  const end = lastDayOfMonth(last);
  const weights = weekdayWeights(amounts, month);
  let [done, gone, all] = [0, 0, 0];
  for (let day = month; day <= end; day = addDays(day, 1)) {
    const weight = weights[weekdayOf(day)];
    all += weight;
    if (day > last) continue;
    gone += weight;
    done += amounts.get(day) ?? 0;
  }
  return {
    month,
    daysGone: daysIn(month, last),
    days: daysIn(month, end),
    done,
    forecast: gone === 0 ? null : (done * all) / gone,
    goal,
    pace: goal === null || gone === 0 ? null : done / ((goal * gone) / all),
  };
}

/** Usual weight of each weekday before a month, shrunk toward 1: mean of the weekday / mean of all days. */
function weekdayWeights(amounts: ReadonlyMap<Day, Micros>, before: Day): number[] {
  const sums = new Array<number>(7).fill(0);
  const counts = new Array<number>(7).fill(0);
  for (const [day, amount] of amounts) {
    if (day >= before) continue;
    sums[weekdayOf(day)] += amount;
    counts[weekdayOf(day)] += 1;
  }
  const total = sums.reduce((a, b) => a + b, 0);
  const days = counts.reduce((a, b) => a + b, 0);
  if (days < 14 || total <= 0) return new Array<number>(7).fill(1);
  const mean = total / days;
  return sums.map((sum, at) => (sum + 2 * mean) / ((counts[at] + 2) * mean));
}
