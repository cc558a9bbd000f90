/** A calendar day in the account's time zone, as 'YYYY-MM-DD'. Days compare and sort as strings. */
export type Day = string;

const MS_PER_DAY = 86_400_000;

/** Days since 1970-01-01. */
export function dayNumber(day: Day): number {
  return (
    Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10))) / MS_PER_DAY
  );
}

/** The day with a given number of days since 1970-01-01. */
export function dayFromNumber(number: number): Day {
  return new Date(number * MS_PER_DAY).toISOString().slice(0, 10);
}

/** Weekday of a day, 0 = Monday. */
export const weekdayOf = (day: Day): number => (dayNumber(day) + 3) % 7;

/** The Monday on which the week of a day begins. */
export const mondayOf = (day: Day): Day => dayFromNumber(dayNumber(day) - weekdayOf(day));

/** The day `count` days later (earlier when negative). */
export function addDays(day: Day, count: number): Day {
  return dayFromNumber(dayNumber(day) + count);
}

/** Number of days from `from` to `to`, both counted. 2026-01-01 to 2026-01-31 is 31. */
export function daysIn(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from) + 1;
}

/** Whether year, month (1-12) and day of month name a day that exists, from 2000 to 2099. */
export function isRealDay(year: number, month: number, dayOfMonth: number): boolean {
  if (!(year >= 2000 && year <= 2099 && month >= 1 && month <= 12 && dayOfMonth >= 1)) return false;
  return dayOfMonth <= new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** Writes a day from its parts. */
export function dayOf(year: number, month: number, dayOfMonth: number): Day {
  return `${year}-${String(month).padStart(2, '0')}-${String(dayOfMonth).padStart(2, '0')}`;
}

/** Whether a text is a day that exists, as 'YYYY-MM-DD'. */
export function isDay(text: string): boolean {
  const parts = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  return parts !== null && isRealDay(Number(parts[1]), Number(parts[2]), Number(parts[3]));
}

/** Days of a month, where something is told per month. */
export const DAYS_PER_MONTH = 30.4;
