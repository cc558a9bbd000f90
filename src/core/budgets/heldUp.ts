import { gammaCdf } from '../evidence';
import type { Micros } from '../units';
import { HOURS } from './hourProfile';
import type { HourProfile } from './hourProfile';

/** A day of a campaign by its hours. */
export interface HeldDay {
  age: number;
  budget: Micros;
  clicks: Float64Array;
  spend: Float64Array;
}

/** What a campaign missed on days on which money held it up. */
export interface Missed {
  /** Of how many clicks as much is known as of a day that money never holds up; under a few, what was missed is only the least it can be. */
  known: number;
  /** The hour of the last click of a day on which money held it up; null: it did not. */
  days: { age: number; clicks: number; last: number | null; missed: number }[];
}

/**
 * How far ahead of the day's usual course a market lets spend be where it spreads the budget over the day, at least and at most. Which it is
 * shows in the furthest that spend came.
 */
const [LEAST_AHEAD, MOST_AHEAD] = [1, 1.5];
/** Hours by which as much was released as so many clicks cost tell how far ahead spend came. */
const TELLING_CLICKS = 8;
/** Spend is as far ahead as in this share of the hours that tell. */
const AHEAD_QUANTILE = 0.97;
/** With less left than so many clicks cost, most bids can no longer be paid. */
const LAST_CLICKS = 3;
/** How many times the clicks that came there may have been: what is beyond cannot be told. */
const MOST_TIMES = 30;
const STEPS = 14;
/** A day is taken for the campaign's usual one with the weight of so many clicks. */
const PRIOR_CLICKS = 24;
/** Known from fewer clicks, demand cannot be told. */
export const LEAST_KNOWN = 5;

/** How far ahead of the day's usual course spend came at most where it is spread over the day: the market's own rule, as it shows. */
export function aheadOf(days: Iterable<HeldDay>, { upTo }: HourProfile): number {
  const ratios: number[] = [];
  for (const { budget, clicks, spend } of days) {
    let sum = 0;
    for (let hour = 0; hour < HOURS; hour += 1) {
      sum += spend[hour];
      if (clicks[hour] === 0) continue;
      const cpc = spend[hour] / clicks[hour];
      const released = budget * upTo(hour + 1);
      // The click that goes beyond what is released was still let in.
      if (released >= TELLING_CLICKS * cpc && released < 0.8 * budget) ratios.push((sum - cpc) / released);
    }
  }
  ratios.sort((a, b) => a - b);
  const at = ratios[Math.floor(AHEAD_QUANTILE * (ratios.length - 1))] ?? LEAST_AHEAD;
  return Math.min(MOST_AHEAD, Math.max(LEAST_AHEAD, at));
}

/** An hour of which something is known: its clicks, or that there were at least so many to be had. */
interface KnownHour {
  hour: number;
  share: number;
  clicks: number;
  isHeld: boolean;
}

/**
 * What a campaign missed. Once its money is gone, or spend is ahead of the day's course where the market spreads it, clicks tell only the least there
 * was: lambda, clicks of a whole day, is where sum (E[clicks of an hour | what is known of it] - lambda x share of the hour) = 0, each a Poisson
 * count known exactly in hours that were not held up, and known to be at least n in those that were; hours without a click that began
 * held up say nothing. A day's own lambda is shrunk to that by 24 clicks.
 * @param ahead how far ahead of the day's course the market lets spend be; null: it does not spread it
 */
export function missedBy(
  days: readonly HeldDay[],
  { share, upTo }: HourProfile,
  ahead: number | null,
): Missed {
  const read = days.map((day) => readHours(day, share, upTo, ahead));
  const known = read.flatMap((one) => one.hours);
  const clicks = known.reduce((sum, one) => sum + one.clicks, 0);
  const open = known.reduce((sum, one) => sum + one.share, 0);
  if (clicks === 0 || open === 0)
    return { known: 0, days: days.map(({ age }) => ({ age, clicks: 0, last: null, missed: 0 })) };
  const { lambda, information } = fitDemand(known, clicks / open);
  const isKnown = information >= LEAST_KNOWN;
  const usual = isKnown ? lambda : clicks / open;
  return {
    known: information,
    days: days.map((day, at) => {
      const { hours, last } = read[at];
      const came = day.clicks.reduce((sum, one) => sum + one, 0);
      if (last === null) return { age: day.age, clicks: came, last, missed: 0 };
      const seen = hours.reduce((sum, one) => sum + (isKnown ? expected(one, usual) : one.clicks), 0);
      const part = hours.reduce((sum, one) => sum + one.share, 0);
      const own = (seen + PRIOR_CLICKS) / (part + PRIOR_CLICKS / usual);
      return { age: day.age, clicks: came, last, missed: Math.max(0, seen - came + own * (1 - part)) };
    }),
  };
}

/** Clicks of a whole day, and of how many clicks as much is known: how sharply the likelihood falls beside it. */
function fitDemand(hours: readonly KnownHour[], least: number): { lambda: number; information: number } {
  // Held hours of one time of day with as many clicks are alike.
  const alike = new Map<number, { one: KnownHour; times: number }>();
  let [clicks, open] = [0, 0];
  for (const one of hours) {
    open += one.share;
    if (!one.isHeld) clicks += one.clicks;
    else {
      const key = one.clicks * HOURS + one.hour;
      const met = alike.get(key);
      if (met) met.times += 1;
      else alike.set(key, { one, times: 1 });
    }
  }
  const held = [...alike.values()];
  const excess = (lambda: number) =>
    held.reduce((sum, { one, times }) => sum + times * expected(one, lambda), clicks - lambda * open);
  let [low, high] = [least, held.length > 0 ? MOST_TIMES * least : least];
  for (let step = 0; step < STEPS && high > low; step += 1) {
    const middle = Math.sqrt(low * high);
    if (excess(middle) > 0) low = middle;
    else high = middle;
  }
  const lambda = Math.sqrt(low * high);
  return { lambda, information: (excess(lambda / 1.05) - excess(lambda * 1.05)) / (2 * Math.log(1.05)) };
}

function readHours(
  { budget, clicks, spend }: HeldDay,
  share: Float64Array,
  upTo: (until: number) => number,
  ahead: number | null,
): { hours: KnownHour[]; last: number | null } {
  const hours: KnownHour[] = [];
  let isEverHeld = false;
  let sum = 0;
  let count = 0;
  for (let hour = 0; hour < HOURS; hour += 1) {
    const wasHeld = isHeldUp(hour);
    sum += spend[hour];
    count += clicks[hour];
    const isHeld = isHeldUp(hour);
    isEverHeld ||= isHeld;
    if (wasHeld && clicks[hour] === 0) continue;
    hours.push({ hour, share: share[hour], clicks: clicks[hour], isHeld });
  }
  return { hours, last: isEverHeld ? clicks.findLastIndex((one) => one > 0) : null };

  function isHeldUp(hour: number): boolean {
    if (count === 0) return false;
    const released = ahead === null ? budget : budget * Math.min(1, ahead * upTo(hour + 1));
    return sum > Math.min(released, budget - (LAST_CLICKS * sum) / count);
  }
}

/** Clicks that are expected of an hour by what is known of it: those that came, or the mean of a Poisson count that is at least as large. */
function expected({ share, clicks, isHeld }: KnownHour, lambda: number): number {
  if (!isHeld) return clicks;
  const mean = lambda * share;
  if (clicks === 0) return mean;
  // P(X >= n) of a Poisson count is the lower incomplete gamma function at n.
  const reached = gammaCdf(clicks, mean);
  if (reached < 1e-12) return clicks;
  const before = clicks > 1 ? gammaCdf(clicks - 1, mean) : 1;
  return Math.max(clicks, (mean * before) / reached);
}
