import { addDays, dayNumber, weekdayOf } from '../units';
import type { Day } from '../units';
import { HOURS } from '../budgets';
import { CELLS } from './cells';

const MS_PER_HOUR = 3_600_000;
/** A day of a clock change is this long at most. */
const MOST_HOURS = 26;

/**
 * How often each hour of the week came between two days, in a time zone: where clocks change, an hour is missing or comes twice.
 * @param timeZone an IANA name @throws RangeError for one that is not known
 */
export function weekHours(from: Day, to: Day, timeZone: string): Float64Array {
  const counts = new Float64Array(CELLS);
  const clock = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
  });
  /** Local day and hour of a moment. */
  const at = (moment: number): [day: Day, hour: number] => {
    const parts = Object.fromEntries(clock.formatToParts(moment).map(({ type, value }) => [type, value]));
    return [`${parts.year}-${parts.month}-${parts.day}`, Number(parts.hour)];
  };
  const offset = (day: Day) => {
    // At noon no clock changes; how far noon there is from noon in Greenwich tells the zone's offset.
    const noon = Date.parse(`${day}T12:00:00Z`);
    const [local, hour] = at(noon);
    return (dayNumber(local) - dayNumber(day)) * HOURS + hour - 12;
  };
  for (let day = from; day <= to; day = addDays(day, 1)) {
    const weekday = weekdayOf(day);
    if (offset(day) === offset(addDays(day, -1))) {
      for (let hour = 0; hour < HOURS; hour += 1) counts[weekday * HOURS + hour] += 1;
      continue;
    }
    const start = Date.parse(`${day}T00:00:00Z`) - (offset(day) + 2) * MS_PER_HOUR;
    for (let step = 0; step < MOST_HOURS + 4; step += 1) {
      const [local, hour] = at(start + step * MS_PER_HOUR);
      if (local === day) counts[weekday * HOURS + hour] += 1;
    }
  }
  return counts;
}
