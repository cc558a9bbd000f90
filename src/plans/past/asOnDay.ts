import type { BidFeed } from '../../core/bids';
import type { AccountTree } from '../../core/structure';
import { dayNumber } from '../../core/units';
import type { Day, Micros } from '../../core/units';

/**
 * What was known on a day that is past: bids as they stood, changes as far as they were made, and of each day's orders the share that had
 * come in by then (by the account's own curve of late orders; which of them came late is not known any more).
 * @param feed asked for that day, with the changes of bids since @param today the account's present day
 */
export function asOnDay(
  tree: AccountTree,
  feed: BidFeed,
  on: Day,
  today: Day,
): { tree: AccountTree; feed: BidFeed } {
  const since = feed.bidChanges.filter(({ day }) => day >= on);
  const stood = new Map<number, Micros | null>();
  for (const { targetId, from } of [...since].sort((a, b) => (a.day < b.day ? 1 : -1)))
    stood.set(targetId, from);
  const later = dayNumber(today) - dayNumber(on);
  const { completion } = feed;
  const at = (age: number) => completion[age] ?? 1;
  const seen = feed.days.age.map((age) => at(age) / (at(age + later) || 1));
  const scaled = (numbers: number[]) => numbers.map((number, row) => number * Math.min(1, seen[row]));
  return {
    tree: {
      ...tree,
      today: on,
      targets: tree.targets.map((target) => {
        const bid = stood.get(target.id);
        return bid === undefined ? target : { ...target, bid };
      }),
      lastChanges: tree.lastChanges.filter(({ day }) => day < on),
    },
    feed: {
      ...feed,
      bidChanges: feed.bidChanges.filter(({ day }) => day < on),
      modifierChanges: feed.modifierChanges.filter(({ day }) => day < on),
      days: { ...feed.days, orders: scaled(feed.days.orders), sales: scaled(feed.days.sales) },
    },
  };
}
