import { roundDownToStep } from '../units';
import type { Micros } from '../units';
import type { MarketLimits } from '../changes';

/** A new target starts at no more than this multiple of the CPC that the term cost in its source. */
export const CPC_CAP = 1.3;

/** A starting bid and what decided it. */
export interface StartingBid {
  bid: Micros;
  decidedBy: 'value' | 'cap' | 'minimum' | 'maximum';
}

/**
 * Starting bid of a harvested term: revenue per click x target ACOS, no more than 1.3 x the CPC paid in the
 * source, rounded down to the market's bid step and kept within its minimum and maximum.
 * @param valuePerClick estimated sales per click, micros
 * @param cpc paid in the source, micros
 * @param targetAcos share, for instance 0.24
 */
export function startingBid(
  valuePerClick: number,
  cpc: number,
  targetAcos: number,
  limits: MarketLimits,
): StartingBid {
  const worth = valuePerClick * targetAcos;
  const cap = cpc * CPC_CAP;
  const bid = roundDownToStep(Math.min(worth, cap), limits.bidStep);
  if (bid < limits.minBid) return { bid: limits.minBid, decidedBy: 'minimum' };
  if (bid > limits.maxBid) return { bid: limits.maxBid, decidedBy: 'maximum' };
  return { bid, decidedBy: worth <= cap ? 'value' : 'cap' };
}
