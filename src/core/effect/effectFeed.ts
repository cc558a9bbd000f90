import type { Micros } from '../units';

/** Weeks before and after a change that are looked at, at most. */
export const MOST_WEEKS = 4;

/** A target as far as effects are compared by it. */
export interface EffectTarget {
  id: number;
  /** Exact, phrase, broad, item, automatic …: like is compared with like. */
  kind: string;
  /** ACOS at which it just lands where it should, share. */
  targetAcos: number;
  /** What the product leaves of a sale before ads, share; null where costs are not known. */
  margin: number | null;
}

/**
 * What targets did in the weeks around a day on which something was changed. Week w of target t stands at [8 t + w]: w 0 to 3 the
 * four weeks before the day, nearest last; w 4 to 7 the weeks after it, which begin with the day: what was set on it held for most of it,
 * and what it did is told too small rather than too large.
 */
export interface WeeksAround {
  /** Day number, see units. */
  day: number;
  /** Days from the day on whose orders are in, 0 to 28. A week that is not over holds them alone, and its week before the same weekdays. */
  settledDays: number;
  clicks: Float64Array;
  /** Micros. */
  spend: Float64Array;
  sales: Float64Array;
}

/** A change whose effect is asked for. */
export interface MadeChange {
  id: number;
  day: number;
  /** Places of the targets it works on, in `targets`. */
  targets: readonly number[];
  /** What it was expected to do in a month; 0 and 0 where nothing was said. */
  expected: { spend: Micros; sales: Micros };
}

/** All that effects are measured from. */
export interface EffectFeed {
  targets: readonly EffectTarget[];
  /** By the day number of changes. */
  weeks: ReadonlyMap<number, WeeksAround>;
  /** Day numbers of changes whose days before or after came summed. */
  summed: ReadonlySet<number>;
  /** Day numbers on which anything was changed that works on a target, ascending; by its place. */
  touched: readonly (readonly number[])[];
}

/** Of a week that is not over, so many days have to be in for it to count. */
const LEAST_DAYS = 4;

/** The first day on which a change of a day can be measured, in days after it. */
export const FIRST_ANSWER = LEAST_DAYS - 1;

/** Weeks before and after a day in which nothing else was changed on a target, and whose orders are in: 0 to 4. */
export function freeWeeks(touched: readonly number[], { day, settledDays }: WeeksAround): number {
  let weeks = Math.min(MOST_WEEKS, Math.floor((settledDays + 7 - LEAST_DAYS) / 7));
  for (const other of touched) {
    if (other !== day) weeks = Math.min(weeks, Math.floor(Math.abs(other - day) / 7));
  }
  return weeks;
}

/** Sums of a target over the `weeks` before a day and after it. */
export function beforeAndAfter(figures: Float64Array, target: number, weeks: number): [number, number] {
  let [before, after] = [0, 0];
  const first = target * 2 * MOST_WEEKS;
  for (let week = 0; week < weeks; week += 1) {
    before += figures[first + MOST_WEEKS - 1 - week];
    after += figures[first + MOST_WEEKS + week];
  }
  return [before, after];
}
