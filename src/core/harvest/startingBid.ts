import { roundDownToStep } from '../units';
import type { Micros } from '../units';
import type { MarketLimits } from '../changes';
import type { StartRule } from '../routes';

/** A starting bid and what decided it. */
export interface StartingBid {
  bid: Micros;
  decidedBy: StartRule['by'] | 'cap' | 'minimum' | 'maximum';
}

/** What a first bid can be found from. Micros. */
export interface StartFigures {
  /** Estimated sales per click. */
  valuePerClick: number;
  /** Paid in the source. */
  cpc: number;
  /** What the market suggests for the new target; null where it is not known. */
  suggested: number | null;
  /** Share, for instance 0.24. */
  targetAcos: number;
  /** What a click costs as a share of the bid, in the source; 1 where no bid is known there. */
  costOfBid: number;
}

/**
 * Starting bid of a harvested term by its route's rule: the bid at which a click should cost revenue per click x target ACOS, the CPC paid in the
 * source as it is, what the market suggests (where it suggests nothing: what the click is worth) or a fixed amount; no more than the bid at which a click
 * should cost the cap x the CPC paid, rounded down to the market's bid step and kept within its minimum and maximum. A cost is made a bid by dividing it by what bids
 * cost in the source. A fixed amount is meant as it is: no cap.
 */
export function startingBid(figures: StartFigures, rule: StartRule, limits: MarketLimits): StartingBid {
  const [base, by] = baseOf(figures, rule);
  const cap = rule.cap === null || by === 'fixed' ? Infinity : (figures.cpc * rule.cap) / figures.costOfBid;
  const bid = roundDownToStep(Math.min(base, cap), limits.bidStep);
  if (bid < limits.minBid) return { bid: limits.minBid, decidedBy: 'minimum' };
  if (bid > limits.maxBid) return { bid: limits.maxBid, decidedBy: 'maximum' };
  return { bid, decidedBy: base <= cap ? by : 'cap' };
}

function baseOf(
  { valuePerClick, cpc, suggested, targetAcos, costOfBid }: StartFigures,
  { by, amount }: StartRule,
): [number, StartRule['by']] {
  if (by === 'fixed' && amount !== null) return [amount, 'fixed'];
  if (by === 'cpc' && cpc > 0) return [cpc, 'cpc'];
  if (by === 'market' && suggested !== null) return [suggested, 'market'];
  return [(valuePerClick * targetAcos) / costOfBid, 'worth'];
}

/** Clicks at what is usual in the account that are added to a row's own when it is judged what bids cost there. */
const USUAL_CLICKS = 10;
/** Modifiers may make a click dearer than the bid, few clicks may look free: beyond these nothing is believed. */
const [LEAST, MOST] = [0.3, 1];

/**
 * What a click costs as a share of the bid, from clicks that came at it, shrunk toward what is usual; within 0.3 and 1.
 * @param bid micros; null where it is not known, then 1
 */
export function costOfBid(spend: number, clicks: number, bid: Micros | null, usual: number): number {
  if (bid === null || bid <= 0) return 1;
  const share = (spend / bid + USUAL_CLICKS * usual) / (clicks + USUAL_CLICKS);
  return Math.min(MOST, Math.max(LEAST, share));
}
