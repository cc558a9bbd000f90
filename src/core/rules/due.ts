import { addDays, dayNumber, weekdayOf } from '../units';
import type { Day } from '../units';
import type { Rule } from './rule';

type When = Pick<Rule, 'rhythm' | 'until'>;

/**
 * Whether a rule works on a night. One that was missed is not made up by several: the next looks at everything anyway.
 * @param last its last night; null: never @param today the account's day on which the night ends
 */
export function isDue({ rhythm, until }: When, last: Day | null, today: Day): boolean {
  if (last !== null && last >= today) return false;
  if (until !== null && today > until) return false;
  switch (rhythm.kind) {
    case 'nightly':
      return true;
    case 'weekdays':
      return rhythm.days.includes(weekdayOf(today) + 1);
    case 'every':
      return last === null || dayNumber(today) - dayNumber(last) >= rhythm.days;
  }
}

/** Looked for so far ahead. */
const DAYS_AHEAD = 62;

/** The next night on which a rule works, `from` or later; null: none within two months. */
export function nextNight(when: When, last: Day | null, from: Day): Day | null {
  for (let by = 0; by < DAYS_AHEAD; by += 1) {
    const day = addDays(from, by);
    if (isDue(when, last, day)) return day;
  }
  return null;
}
