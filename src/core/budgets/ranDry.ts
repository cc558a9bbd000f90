import type { Micros } from '../units';
import { HOURS, hourProfile, LEAST_OPEN } from './hourProfile';
import type { HourProfile } from './hourProfile';
import { aheadOf, LEAST_KNOWN, missedBy } from './heldUp';
import type { HeldDay } from './heldUp';

/** Days of campaigns as columns, summed over their hours. Age: full days before the decision day, yesterday is 0. Money in micros. */
export interface CampaignDays {
  campaign: ArrayLike<number>;
  age: ArrayLike<number>;
  clicks: ArrayLike<number>;
  /** Clicks of all of them by hour. */
  byHour: ArrayLike<number>;
  /** The hours of the last 28 days of campaigns that came near their budget. */
  hours: {
    campaign: ArrayLike<number>;
    age: ArrayLike<number>;
    hour: ArrayLike<number>;
    clicks: ArrayLike<number>;
    spend: ArrayLike<number>;
  };
}

/** A day on which money held a campaign up. */
export interface DryDay {
  age: number;
  /** Clock time from which it had none, hours; null: its market spreads the money over the day, and held it up again and again. */
  from: number | null;
  clicks: number;
  /** Clicks that it is expected to have missed. */
  missed: number;
}

/** How a campaign's money held. */
export interface DryCampaign {
  /** Days of the last 28 with hours, and those of them that ran dry, the newest first. */
  days: number;
  dry: DryDay[];
  /**
   * How many whole days it was open by the clock: a day that ran dry counts for the share of clicks that comes before it does, one whose money was
   * spread over it as a whole. This is what the plan counts by. What else was missed is told and not bet on: bids and budgets go there step
   * by step, and counting on all of it at once left money unspent in the trial.
   */
  openDays: number;
  /** Clicks of a day that is open from start to end. */
  usual: number;
  /** Of how many clicks as much is known as of the usual day; null: it never ran dry. */
  known: number | null;
  /** Whether what it missed is only the least that it can be: it was held up so much, or has money for so few clicks, that the rest cannot be told. */
  isLeast: boolean;
}

export interface RanDry {
  profile: HourProfile;
  campaigns: DryCampaign[];
}

/** Days that the profile of hours is from, and those that are looked at for having run dry. */
export const PROFILE_DAYS = 60;
export const DRY_DAYS = 28;
/** Days on which money paid for fewer clicks than this say too little of those that it did not. */
const LEAST_PAID = 5;
/** A day that missed less was not held up. */
const LEAST_MISSED = 0.5;

/**
 * Finds the days on which campaigns ran out of money, by hours of spend against the budget of that day, and what they missed.
 * @param budgetOn daily budget of a campaign on a day, micros; null: none, or not known
 * @param isEven whether the market spreads a campaign's budget over the day
 */
export function findDry(
  days: CampaignDays,
  campaigns: number,
  budgetOn: (campaign: number, age: number) => Micros | null,
  isEven: (campaign: number) => boolean,
): RanDry {
  const cells = campaigns * PROFILE_DAYS;
  const clicks = new Float64Array(cells);
  const until = new Float64Array(cells).fill(HOURS);
  const hasHours = new Uint8Array(PROFILE_DAYS);
  for (let row = 0; row < days.age.length; row += 1) {
    const [campaign, age] = [days.campaign[row], days.age[row]];
    if (age < 0 || age >= PROFILE_DAYS) continue;
    hasHours[age] = 1;
    clicks[campaign * PROFILE_DAYS + age] = days.clicks[row];
  }
  const near = nearDays(days, budgetOn);
  for (const [campaign, list] of near)
    for (const day of list) until[campaign * PROFILE_DAYS + day.age] = lastHour(day);
  const profile = hourProfile({ clicks, until, byHour: days.byHour });
  const ahead = aheadOf(
    [...near].flatMap(([campaign, list]) => (isEven(campaign) ? list : [])),
    profile,
  );
  const known = Array.from({ length: DRY_DAYS }, (_, age) => age).filter((age) => hasHours[age] === 1);
  return {
    profile,
    campaigns: Array.from({ length: campaigns }, (_, campaign): DryCampaign => {
      const clicksOn = (age: number) => clicks[campaign * PROFILE_DAYS + age];
      const came = known.reduce((sum, age) => sum + clicksOn(age), 0);
      const list = near.get(campaign);
      const whole = { days: known.length, dry: [], openDays: known.length, known: null, isLeast: false };
      if (!list || came === 0) return { ...whole, usual: known.length > 0 ? came / known.length : 0 };
      const even = isEven(campaign);
      const missed = missedBy(list, profile, even ? ahead : null);
      const dry = missed.days.flatMap((one): DryDay[] =>
        one.last !== null && one.missed >= LEAST_MISSED
          ? [{ age: one.age, from: even ? null : one.last + 0.5, clicks: one.clicks, missed: one.missed }]
          : [],
      );
      if (dry.length === 0) return { ...whole, usual: came / known.length };
      const lost = dry.reduce((sum, one) => sum + one.missed, 0);
      const usual = (came + lost) / known.length;
      const paid = dry.reduce((sum, one) => sum + one.clicks, 0) / dry.length;
      const isLeast = missed.known < LEAST_KNOWN || paid < LEAST_PAID;
      const openDays = known.reduce(
        (sum, age) =>
          sum + Math.max(LEAST_OPEN, profile.upTo(even ? HOURS : until[campaign * PROFILE_DAYS + age])),
        0,
      );
      return { days: known.length, dry, openDays, usual, known: missed.known, isLeast };
    }),
  };
}

/** The days of campaigns that came near their budget, by their hours; days without an hour have none to tell. */
function nearDays(
  { hours }: CampaignDays,
  budgetOn: (campaign: number, age: number) => Micros | null,
): Map<number, HeldDay[]> {
  const campaigns = new Map<number, Map<number, HeldDay>>();
  const dayOf = (campaign: number, age: number): HeldDay => {
    let days = campaigns.get(campaign);
    if (!days) campaigns.set(campaign, (days = new Map()));
    let day = days.get(age);
    if (!day) {
      const budget = budgetOn(campaign, age) ?? Infinity;
      day = { age, budget, clicks: new Float64Array(HOURS), spend: new Float64Array(HOURS) };
      days.set(age, day);
    }
    return day;
  };
  // The hours of a day mostly follow each other: it is looked up once.
  let [lastCampaign, lastAge] = [-1, -1];
  let day: HeldDay | null = null;
  for (let row = 0; row < hours.age.length; row += 1) {
    const campaign = hours.campaign[row];
    const age = hours.age[row];
    if (day === null || campaign !== lastCampaign || age !== lastAge) {
      day = dayOf(campaign, age);
      lastCampaign = campaign;
      lastAge = age;
    }
    day.clicks[hours.hour[row]] += hours.clicks[row];
    day.spend[hours.hour[row]] += hours.spend[row];
  }
  return new Map(
    [...campaigns].map(([campaign, days]) => [campaign, [...days.values()].sort((a, b) => a.age - b.age)]),
  );
}

/** Clock time up to which a day had money, for the course of a day: the middle of the hour in which the last of it went. */
function lastHour({ budget, clicks, spend }: HeldDay): number {
  const last = spend.findLastIndex((one) => one > 0);
  const [spent, count] = [spend, clicks].map((list) => list.reduce((sum, one) => sum + one, 0));
  return count > 0 && last < HOURS - 1 && spent >= budget - (2 * spent) / count ? last + 0.5 : HOURS;
}
