import { chanceToReach, PRIOR_ORDERS } from '../evidence';
import type { Usual } from '../evidence';
import { measure } from '../measures';
import type { Sums } from '../measures';
import { formatMoney, formatShare } from '../units';

/** The reason of a negative in one sentence with its numbers. */
export function negativeReason(sums: Sums, usual: Usual, targetAcos: number): string {
  const clicks = `${sums.clicks} clicks, ${sums.orders} orders`;
  const yardstick = `an order usually takes ${Math.round(usual.clicksPerOrder)} clicks here`;
  const chance = chanceOnTarget(sums, usual, targetAcos);
  const told =
    chance === null
      ? ''
      : `; ${formatShare(chance, chance < 0.1 ? 1 : 0)} chance that it reaches ${formatShare(targetAcos, 0)} ACOS`;
  return `${clicks}; ${yardstick}; ${formatMoney(sums.spend)} spent${told}.`;
}

/**
 * Conversion rate that a CPC needs for the target ACOS: CPC / (target x order value). Null when one is not known.
 * @param cpc micros @param targetAcos share
 */
export function neededConversion(cpc: number | null, usual: Usual, targetAcos: number): number | null {
  return cpc === null || cpc === 0 || usual.orderValue === null
    ? null
    : cpc / (targetAcos * usual.orderValue);
}

/** Probability that a row's conversion rate reaches what its CPC needs for the target ACOS. */
export function chanceOnTarget(sums: Sums, usual: Usual, targetAcos: number): number | null {
  const needed = neededConversion(measure('cpc').of(sums), usual, targetAcos);
  if (needed === null) return null;
  return chanceToReach(needed, sums.clicks, sums.orders, { mean: usual.conversion, strength: PRIOR_ORDERS });
}
