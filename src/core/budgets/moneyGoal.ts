import type { Micros } from '../units';

/** How far a day's spend may be off its share of the month's money, so that the month comes out. */
const [LEAST, MOST] = [0.6, 1.4];

/**
 * What may be spent a day for the rest of a month: goal = daily x clamp(left / (days left x daily), 0.6, 1.4).
 * @param daily money of a day on average @param left what of the month's money is left @param daysLeft days of the month to come
 */
export function moneyGoal(daily: Micros, left: Micros, daysLeft: number): Micros {
  if (daysLeft <= 0 || daily <= 0) return daily;
  return daily * Math.min(MOST, Math.max(LEAST, left / (daysLeft * daily)));
}
