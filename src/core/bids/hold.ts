import { shareAt } from './observations';
import type { BidObservations, BidSettings, BidTarget } from './observations';

/** Days of orders are settled from this share on. */
const SETTLED = 0.95;
/** However late the orders, nothing is held longer. */
const MOST_DAYS = 28;
/** A further step of the same move waits so many days. */
const LEAST_DAYS = 6;

/** Days before the decision day whose orders are not in yet. */
export function unsettledDays({ completion }: Pick<BidObservations, 'completion'>): number {
  let age = 0;
  while (shareAt(completion, age) < SETTLED) age += 1;
  return age;
}

/** What came in since a change, and what is wanted now. */
export interface SinceMove {
  change: NonNullable<BidTarget['change']>;
  settledDays: number;
  /** Clicks since, weighted by the share of their orders that is visible. */
  exposure: number;
  /** Clicks that an order usually takes there. */
  usualClicks: number;
  /** Bid now and the one proposed, micros. */
  bid: number;
  to: number;
  /** Bid that the days since alone would ask for, micros. */
  wantedSince: number;
}

/** Why a changed target is left for now; a second step may be made all the same. */
export type Held = 'hold' | 'second step' | 'days since disagree' | null;

/**
 * Whether a changed target is left until its change has told something. It waits for settled days, or for the clicks that an order usually
 * takes, 28 days at most. A further step of the same move needs nothing new: the pace alone had kept it back; it waits six days. A move
 * the other way needs the days since the change to ask for it by themselves.
 */
export function holdOf(since: SinceMove, { hold, leastMove }: BidSettings): Held {
  const { change, settledDays, exposure, usualClicks, bid, to, wantedSince } = since;
  const isTold =
    settledDays >= hold.settledDays ||
    (hold.settledDays > 0 && exposure >= usualClicks) ||
    change.daysAgo >= MOST_DAYS;
  const way = Math.sign(to - bid);
  const isSameWay = change.from !== null && Math.sign(bid - change.from) === way;
  if (isSameWay) {
    if (isTold) return null;
    return change.daysAgo < Math.min(LEAST_DAYS, hold.settledDays) ? 'hold' : 'second step';
  }
  if (!isTold) return 'hold';
  if (change.from === null || change.daysAgo >= MOST_DAYS) return null;
  const asked = wantedSince / bid - 1;
  return Math.sign(asked) === way && Math.abs(asked) >= leastMove ? null : 'days since disagree';
}
