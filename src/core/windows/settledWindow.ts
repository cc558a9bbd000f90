import { addDays, daysIn } from '../units';
import type { Day } from '../units';

/** A span of days, both ends counted. */
export interface Window {
  from: Day;
  to: Day;
}

export interface SettledWindow extends Window {
  /** Days that hold data but are left out because their orders are still coming in. */
  unsettled: Day[];
  /** Figures inside it that came summed over several days: it holds them whole, and tells nothing of their days. */
  sums: Window[];
}

/** Days before today whose orders are still coming in, where nothing is known of how late they arrive. */
export const UNSETTLED_DAYS = 3;

/** Usual length of a window, in days. */
export const WINDOW_DAYS = 30;

/**
 * The window a review starts with: `length` days that end with the last settled day.
 * A report that ends long ago is settled to its last day.
 * @param lastDay last day with data
 * @param today the account's present day
 * @param unsettledDays days before today whose orders are still coming in
 */
export function settledWindow(
  lastDay: Day,
  today: Day,
  length = WINDOW_DAYS,
  unsettledDays = UNSETTLED_DAYS,
): SettledWindow {
  const lastSettled = addDays(today, -1 - unsettledDays);
  const to = lastDay < lastSettled ? lastDay : lastSettled;
  const unsettled: Day[] = [];
  for (let day = addDays(to, 1); day <= lastDay; day = addDays(day, 1)) unsettled.push(day);
  return { from: addDays(to, 1 - length), to, unsettled, sums: [] };
}

/** The window of the same length just before another one: what it is compared with. */
export function windowBefore({ from, to }: Window): Window {
  return { from: addDays(from, -daysIn(from, to)), to: addDays(from, -1) };
}
