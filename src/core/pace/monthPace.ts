import { addDays, daysIn, weekdayOf } from '../units';
import type { Day, Micros } from '../units';
import { Z80 } from './fundsEnd';

/** How far a month is toward its goal. Money in micros. */
export interface MonthPace {
  month: Day;
  /** Days with data, of all days of the month. */
  daysGone: number;
  days: number;
  done: Micros;
  /** What the month will come to at this rate; null before the first whole day. */
  forecast: Micros | null;
  /** The 80 % interval of it; null like the forecast, or while too few days tell how they vary. */
  low: Micros | null;
  high: Micros | null;
  goal: Micros | null;
  /** Done as a share of what should be done by now; null without a goal. */
  pace: number | null;
}

/** Days that tell how days vary, and how many are needed for it. */
const [SPREAD_DAYS, LEAST_KNOWN] = [28, 14];

/** First day of the month of a day. */
export const monthOf = (day: Day): Day => `${day.slice(0, 7)}-01`;

/** Last day of the month of a day. */
export function lastDayOfMonth(day: Day): Day {
  const [year, month] = day.split('-').map(Number);
  const next = month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
  return addDays(next, -1);
}

/**
 * Month to date against its goal. A day counts as much as its weekday usually does (weight from the days before the
 * month), so a month that began with a weekend is not behind for it. Forecast = done / share of the weights gone. Its interval: the days to
 * come vary as those of the last four weeks did around their weekday, s, and the rate is known from d days: +- 1.28 s sqrt(n + n^2 / d).
 * @param amounts day -> micros, of the month so far and of the weeks before
 * @param last last day with data
 */
export function monthPace(amounts: ReadonlyMap<Day, Micros>, last: Day, goal: Micros | null): MonthPace {
  const month = monthOf(last);
  const end = lastDayOfMonth(last);
  const weights = weekdayWeights(amounts, month);
  const spread = spreadOf(amounts, weights, last);
  let [done, gone, all] = [0, 0, 0];
  for (let day = month; day <= end; day = addDays(day, 1)) {
    const weight = weights[weekdayOf(day)];
    all += weight;
    if (day > last) continue;
    gone += weight;
    done += amounts.get(day) ?? 0;
  }
  const [daysGone, days] = [daysIn(month, last), daysIn(month, end)];
  const forecast = gone === 0 ? null : (done * all) / gone;
  const left = days - daysGone;
  const width = spread === null ? null : Z80 * spread * Math.sqrt(left + left ** 2 / Math.max(1, daysGone));
  return {
    month,
    daysGone,
    days,
    done,
    forecast,
    low: forecast === null || width === null ? null : Math.max(done, forecast - width),
    high: forecast === null || width === null ? null : forecast + width,
    goal,
    pace: goal === null || gone === 0 ? null : done / ((goal * gone) / all),
  };
}

/** How far the days of the last four weeks were off what is usual for their weekday; null with too few of them. */
function spreadOf(amounts: ReadonlyMap<Day, Micros>, weights: number[], last: Day): Micros | null {
  const known = Array.from({ length: SPREAD_DAYS }, (_, back) => addDays(last, -back)).filter((day) =>
    amounts.has(day),
  );
  if (known.length < LEAST_KNOWN) return null;
  const level =
    known.reduce((sum, day) => sum + amounts.get(day)! / weights[weekdayOf(day)], 0) / known.length;
  const off = known.map((day) => amounts.get(day)! - level * weights[weekdayOf(day)]);
  return Math.sqrt(off.reduce((sum, one) => sum + one ** 2, 0) / (known.length - 1));
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
