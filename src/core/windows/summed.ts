import { addDays, dayFromNumber, dayNumber } from '../units';
import type { Day } from '../units';
import { windowBefore } from './settledWindow';
import type { Window } from './settledWindow';

/**
 * The day on which figures that came summed over several days are kept: the one in their middle. So they are neither older nor younger than
 * their days are on average, for whatever weighs days by their age.
 */
export function middleDay({ from, to }: Window): Day {
  return from === to ? from : dayFromNumber(Math.floor((dayNumber(from) + dayNumber(to)) / 2));
}

const meets = (a: Window, b: Window) => a.from <= b.to && b.from <= a.to;

/** A window widened so that no sum is cut: of one that it meets it holds all days. */
export function withWholeSums(window: Window, sums: readonly Window[]): Window {
  const met = sumsIn(window, sums);
  const from = met.reduce((first, sum) => (sum.from < first ? sum.from : first), window.from);
  const to = met.reduce((last, sum) => (sum.to > last ? sum.to : last), window.to);
  // Sums of other reports may reach further: what was widened may meet more of them.
  return from === window.from && to === window.to ? { from, to } : withWholeSums({ from, to }, sums);
}

/**
 * The window just before another one where figures came summed: the sum that ends the day before, where the window itself is one sum;
 * else as many days as the window has.
 */
export function windowBeforeSums(window: Window, sums: readonly Window[]): Window {
  const last = addDays(window.from, -1);
  const isOne = sums.some(({ from, to }) => from === window.from && to === window.to);
  const neighbour = isOne ? sums.find(({ to }) => to === last) : undefined;
  return neighbour ?? windowBefore(window);
}

/** The sums that a window meets. */
export const sumsIn = (window: Window, sums: readonly Window[]): Window[] =>
  sums.filter((sum) => meets(window, sum));

/** Whether a window holds every sum that it meets whole. */
export const cutsNone = (window: Window, sums: readonly Window[]): boolean =>
  sumsIn(window, sums).every(({ from, to }) => from >= window.from && to <= window.to);
