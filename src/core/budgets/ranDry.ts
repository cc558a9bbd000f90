import type { Micros } from '../units';
import { HOURS, hourProfile, LEAST_OPEN } from './hourProfile';
import type { HourProfile } from './hourProfile';

/** Days of campaigns as columns, summed over their hours. Age: full days before the decision day, yesterday is 0. Money in micros. */
export interface CampaignDays {
  campaign: ArrayLike<number>;
  age: ArrayLike<number>;
  clicks: ArrayLike<number>;
  spend: ArrayLike<number>;
  /** The last hour in which it spent anything, 0 to 23. */
  lastHour: ArrayLike<number>;
  /** Clicks of all of them by hour. */
  byHour: ArrayLike<number>;
}

/** A day on which a campaign ran out of money. */
export interface DryDay {
  age: number;
  /** Clock time from which it had none, hours. */
  from: number;
  clicks: number;
  /** Clicks that it is expected to have missed. */
  missed: number;
}

/** How a campaign's money held. */
export interface DryCampaign {
  /** Days of the last 28 with hours, and those of them that ran dry, the newest first. */
  days: number;
  dry: DryDay[];
  /** How many whole days it was open: a day that ran dry counts for the share of clicks that comes before it does. */
  openDays: number;
  /** Clicks of a day that is open from start to end. */
  usual: number;
}

export interface RanDry {
  profile: HourProfile;
  campaigns: DryCampaign[];
}

/** Days that the profile of hours is from, and those that are looked at for having run dry. */
export const PROFILE_DAYS = 60;
export const DRY_DAYS = 28;
/** A day on which so much of the budget was spent ran dry, or one on which no further click could be paid. */
const DRY_SHARE = 0.97;
/** A day whose last click was in its last hour missed nothing that could be told. */
const LAST_HOUR = HOURS - 1;
/** A dry day is taken for the campaign's usual one with the weight of so many clicks. */
const [PRIOR_CLICKS, PRIOR_RATE] = [24, 25];

/**
 * Finds the days on which campaigns ran out of money, by hours of spend against the budget of that day, and what they missed: a dry day
 * would have had lambda = (n + 24) / (G(t) + 25 / usual) clicks, and missed lambda (1 - G(t)), n its clicks before t, G the share of a
 * day's clicks up to a clock time.
 * @param budgetOn daily budget of a campaign on a day, micros; null: none, or not known
 */
export function findDry(
  days: CampaignDays,
  campaigns: number,
  budgetOn: (campaign: number, age: number) => Micros | null,
): RanDry {
  const cells = campaigns * PROFILE_DAYS;
  const clicks = new Float64Array(cells);
  const until = new Float64Array(cells).fill(HOURS);
  const hasHours = new Uint8Array(PROFILE_DAYS);
  for (let row = 0; row < days.age.length; row += 1) {
    const [campaign, age] = [days.campaign[row], days.age[row]];
    if (age < 0 || age >= PROFILE_DAYS) continue;
    hasHours[age] = 1;
    const day = campaign * PROFILE_DAYS + age;
    clicks[day] = days.clicks[row];
    const budget = budgetOn(campaign, age);
    if (budget !== null)
      until[day] = openUntil(days.clicks[row], days.spend[row], days.lastHour[row], budget);
  }
  const profile = hourProfile({ clicks, until, byHour: days.byHour });
  return {
    profile,
    campaigns: Array.from({ length: campaigns }, (_, campaign) => {
      const from = campaign * PROFILE_DAYS;
      return dryCampaign(
        clicks.subarray(from, from + DRY_DAYS),
        until.subarray(from, from + DRY_DAYS),
        hasHours,
        profile,
      );
    }),
  };
}

/** Clock time up to which a day had money: the middle of the hour in which the last of it went. */
function openUntil(clicks: number, spend: Micros, last: number, budget: Micros): number {
  if (clicks === 0 || last >= LAST_HOUR) return HOURS;
  return spend >= Math.min(DRY_SHARE * budget, budget - spend / clicks) ? last + 0.5 : HOURS;
}

function dryCampaign(
  clicks: Float64Array,
  until: Float64Array,
  hasHours: Uint8Array,
  { upTo }: HourProfile,
): DryCampaign {
  const known = Array.from(until.keys()).filter((age) => hasHours[age] === 1);
  const open = (age: number) => Math.max(LEAST_OPEN, upTo(until[age]));
  const openDays = known.reduce((sum, age) => sum + open(age), 0);
  const usual = openDays > 0 ? known.reduce((sum, age) => sum + clicks[age], 0) / openDays : 0;
  const dry = known.flatMap((age): DryDay[] => {
    if (until[age] >= HOURS) return [];
    const n = clicks[age];
    const rate = usual > 0 ? (n + PRIOR_CLICKS) / (open(age) + PRIOR_RATE / usual) : 0;
    return [{ age, from: until[age], clicks: n, missed: rate * (1 - upTo(until[age])) }];
  });
  return { days: known.length, dry, openDays, usual };
}
