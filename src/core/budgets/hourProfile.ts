/** Hours of a day. */
export const HOURS = 24;
/** A day on which nobody ran dry, as shoppers usually click: little at night, most in the evening. */
const GENERIC = [
  0.022, 0.014, 0.01, 0.008, 0.009, 0.014, 0.024, 0.034, 0.042, 0.048, 0.051, 0.051, 0.052, 0.051, 0.049, 0.049,
  0.051, 0.054, 0.058, 0.064, 0.071, 0.072, 0.06, 0.042,
]; // prettier-ignore
/** Clicks of the generic day that are added to those of the account. */
const GENERIC_CLICKS = 200;
const ROUNDS = 4;

/** Days of campaigns with the hour from which each had no money; a day without is open until 24. */
export interface OpenDays {
  /** Clicks by day. */
  clicks: Float64Array;
  /** Clock time up to which a day was open, hours; 24: the whole day. */
  until: Float64Array;
  /** Clicks of all of them by hour. */
  byHour: ArrayLike<number>;
}

/** Share of each hour in the clicks of a day that is open all day; their sum is 1. */
export interface HourProfile {
  share: Float64Array;
  /** Share of a day's clicks up to a clock time. */
  upTo: (until: number) => number;
}

const GENERIC_SUM = GENERIC.reduce((sum, one) => sum + one, 0);

/**
 * How the clicks of a day lie over its hours where no money ran out: four rounds of lambda = clicks / G(t) for each day and p_h =
 * (sum clicks_h + 200 pi_h) / (sum lambda x share of hour h before t + 200), G the running sum of p, pi a generic day.
 */
export function hourProfile({ clicks, until, byHour }: OpenDays): HourProfile {
  const days = until.length;
  let profile = profileOf(Float64Array.from(GENERIC, (one) => one / GENERIC_SUM));
  for (let round = 0; round < ROUNDS; round += 1) {
    const open = new Float64Array(HOURS);
    for (let day = 0; day < days; day += 1) {
      if (clicks[day] === 0) continue;
      const usual = clicks[day] / Math.max(LEAST_OPEN, profile.upTo(until[day]));
      const whole = Math.min(HOURS, Math.floor(until[day]));
      for (let hour = 0; hour < whole; hour += 1) open[hour] += usual;
      if (whole < HOURS) open[whole] += usual * (until[day] - whole);
    }
    const raw = open.map(
      (lambda, hour) =>
        (byHour[hour] + (GENERIC_CLICKS * GENERIC[hour]) / GENERIC_SUM) / (lambda + GENERIC_CLICKS),
    );
    const total = raw.reduce((sum, one) => sum + one, 0);
    profile = profileOf(raw.map((one) => one / total));
  }
  return profile;
}

/** Less of a day than this says nothing about the rest. */
export const LEAST_OPEN = 0.03;

function profileOf(share: Float64Array): HourProfile {
  const before = new Float64Array(HOURS + 1);
  for (let hour = 0; hour < HOURS; hour += 1) before[hour + 1] = before[hour] + share[hour];
  return {
    share,
    upTo: (until) => {
      const whole = Math.min(HOURS, Math.floor(until));
      return whole === HOURS ? 1 : before[whole] + share[whole] * (until - whole);
    },
  };
}
