import type { BidFeed } from '../../core/bids';
import type { Numbers } from '../../core/order';
import { dayNumber } from '../../core/units';
import type { Day } from '../../core/units';

/**
 * What was known of bids on a day that is past: changes as far as they were made, and of each day's orders the share that had come in by then
 * (by the account's own curve of late orders; which of them came late is not known any more).
 * @param feed asked for that day, with the changes of bids since @param today the account's present day
 */
export function feedOnDay(feed: BidFeed, on: Day, today: Day): BidFeed {
  const later = dayNumber(today) - dayNumber(on);
  const at = (age: number) => feed.completion[age] ?? 1;
  const seen = (age: number) => Math.min(1, at(age) / (at(age + later) || 1));
  const scaled = (ages: Numbers, numbers: Numbers) =>
    Float64Array.from(numbers, (number, row) => number * seen(ages[row]));
  const { days, placements } = feed;
  return {
    ...feed,
    bidChanges: feed.bidChanges.filter(({ day }) => day < on),
    modifierChanges: feed.modifierChanges.filter(({ day }) => day < on),
    days: { ...days, orders: scaled(days.age, days.orders), sales: scaled(days.age, days.sales) },
    placements: { ...placements, orders: scaled(placements.age, placements.orders) },
  };
}
