import { mixSeeds } from '../chance/stream';
import type { Stream } from '../chance/stream';
import type { Query } from '../world/query';

/** Share of a day's searches in each hour. */
const HOURLY = [
  1.2, 0.7, 0.45, 0.35, 0.4, 0.8, 1.6, 2.8, 3.7, 4.3, 4.8, 5.1, 5.2, 5, 4.8, 4.9, 5.2, 5.8, 6.6, 7.4, 7.8,
  7.1, 5.2, 2.8,
];
const TOTAL = HOURLY.reduce((sum, one) => sum + one, 0);
export const HOUR_SHARE = HOURLY.map((one) => one / TOTAL);
/** How well clicks of an hour sell, around 1: browsing at night sells less. */
export const HOUR_SELLS = [
  0.7, 0.65, 0.6, 0.6, 0.65, 0.8, 0.9, 0.95, 1, 1.05, 1.08, 1.05, 1, 1, 1.02, 1.02, 1, 1, 1.05, 1.1, 1.12,
  1.05, 0.95, 0.8,
];
/** Monday to Sunday: searches, and how well they sell. */
const WEEKDAY = [1.02, 0.97, 0.94, 0.96, 0.98, 1.05, 1.12];
export const WEEKDAY_SELLS = [1.03, 1.02, 1.01, 1, 0.98, 0.95, 1.01];

/** 0 Monday to 6 Sunday, of a day since 1970. */
export const weekdayOf = (day: number) => (day + 3) % 7;

/** How much rivals bid more than at first: two per cent a month, with a slow swing. */
export function rivalDrift(day: number, firstDay: number): number {
  const age = day - firstDay;
  return age * 0.0007 + 0.05 * Math.sin(age / 17);
}

/** Searches of a query expected on a day: weekday, season, and a slow drift of its own. */
export function expectedSearches(query: Query, day: number): number {
  const season = 1 + 0.12 * Math.sin(((day % 365) / 365) * 2 * Math.PI + query.product);
  const drift = 1 + 0.25 * Math.sin(day / (23 + 40 * query.coin) + query.coin * 50);
  return query.volume * WEEKDAY[weekdayOf(day)] * season * drift;
}

/** Spreads some searches over the hours. @returns count by hour */
export function spreadOverHours(searches: number, random: Stream, counts: Uint16Array): void {
  counts.fill(0);
  if (searches < 12) {
    for (let i = 0; i < searches; i += 1) counts[hourOf(random.next())] += 1;
    return;
  }
  let left = searches;
  let share = 1;
  for (let hour = 0; hour < 23 && left > 0; hour += 1) {
    const drawn = random.binomial(left, Math.min(1, HOUR_SHARE[hour] / share));
    counts[hour] = drawn;
    left -= drawn;
    share -= HOUR_SHARE[hour];
  }
  counts[23] += left;
}

function hourOf(chance: number): number {
  let left = chance;
  for (let hour = 0; hour < 23; hour += 1) {
    left -= HOUR_SHARE[hour];
    if (left < 0) return hour;
  }
  return 23;
}

/** Seed of a query's own stream on a day: one query's luck does not hang on another's. */
export const seedOfQuery = (seed: number, query: Query, day: number) =>
  mixSeeds(seed, Math.floor(query.coin * 4294967296), query.product, day);
