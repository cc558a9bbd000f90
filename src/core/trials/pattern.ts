import { addDays, dayNumber } from '../units';
import type { Day } from '../units';

export const DAYS_OF_WEEK = 7;

/**
 * Whether the changes of a trial are on in one of its weeks, 0 the first: 1001 0110 0110 1001 and so on. Each four weeks have two of either kind, and a trend
 * that goes up or down evenly falls out of them.
 */
export const isOnWeek = (week: number): boolean => {
  let bits = 0;
  for (let rest = week; rest > 0; rest >>= 1) bits += rest & 1;
  return bits % 2 === 0;
};

/** In which of its weeks a trial is on a day; negative before it. */
export const weekOfTrial = (firstDay: Day, day: Day): number =>
  Math.floor((dayNumber(day) - dayNumber(firstDay)) / DAYS_OF_WEEK);

/** First day of a week of a trial. */
export const dayOfWeek = (firstDay: Day, week: number): Day => addDays(firstDay, DAYS_OF_WEEK * week);

/** Whether changes were on, or off, all through a week of a trial; null where they were switched in the midst of it. */
export function heldThrough(
  switches: readonly { day: Day; isOn: boolean }[],
  firstDay: Day,
  week: number,
): boolean | null {
  const [from, to] = [dayOfWeek(firstDay, week), dayOfWeek(firstDay, week + 1)];
  if (switches.some(({ day }) => day > from && day < to)) return null;
  return switches.filter(({ day }) => day <= from).at(-1)?.isOn ?? null;
}

/** The next day on which a trial switches, after a day, or on which its last week is over. */
export function nextSwitch(firstDay: Day, weeks: number, after: Day): Day | null {
  for (let week = Math.max(0, weekOfTrial(firstDay, after)) + 1; week <= weeks; week += 1)
    if (week === weeks || isOnWeek(week) !== isOnWeek(week - 1)) return dayOfWeek(firstDay, week);
  return null;
}
