import type { Micros } from '../units';

/** Clicks come in bunches: the spend of a day varies by more than chance alone. */
const BUNCHED = 1.3;
/** And by so much of itself from day to day, for reasons of the market's own. */
const DAY_TO_DAY = 0.2;

/** Standard deviation of what a campaign that is never stopped spends a day, sqrt(1.3 cpc S + (0.2 S)^2); micros. */
export const spendSd = (spend: Micros, cpc: Micros): Micros =>
  Math.sqrt(BUNCHED * cpc * spend + (DAY_TO_DAY * spend) ** 2);

/** Budget that a campaign needs to be stopped seldom: its usual spend a day and z times what that varies by; micros. */
export const needOf = (spend: Micros, cpc: Micros, z: number, least: Micros): Micros =>
  Math.max(least, spend + z * spendSd(spend, cpc));

/**
 * Spend a day that a budget lets through, of a spend that varies around its mean: E[min(B, X)] = S - sd L((B - S) / sd), L(z) = phi(z) - z
 * (1 - Phi(z)).
 */
export function paidOf(budget: Micros, spend: Micros, cpc: Micros): Micros {
  if (spend <= 0) return 0;
  const sd = spendSd(spend, cpc);
  const z = (budget - spend) / sd;
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  return Math.max(0, Math.min(budget, spend - sd * (density - z * (1 - normalBelow(z)))));
}

/** Share of a standard normal below z, by Abramowitz and Stegun 26.2.17; off by less than 1e-7. */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
