import type { MarketLimits } from '../changes';
import type { TermContext } from '../terms';
import { costPerClick } from '../terms';
import { roundDownToStep } from '../units';
import type { Micros } from '../units';

/** A term that makes at least this share of its target's clicks can be met by the target's bid. */
const MOST_OF_TARGET = 0.5;
/** Cost per click goes with the bid to this power (see the bids' method). */
const CPC_POWER = 0.8;

/** The bid of the target that caught a term, and the one at which the term would be on target. Micros. */
export interface BidMatter {
  targetId: number;
  from: Micros;
  to: Micros;
}

/**
 * Whether a term is a matter of its target's bid and not of a negative: the target catches little else (the term makes at least half of its
 * clicks), and at a lower bid that the market takes, bid x (target x sales per click / CPC)^(1 / 0.8), the term would be on target. Null where it is not.
 * @param targetAcos share
 */
export function bidMatter(
  context: TermContext,
  row: number,
  targetAcos: number,
  { minBid, bidStep }: Pick<MarketLimits, 'minBid' | 'bidStep'>,
): BidMatter | null {
  const { table, structure } = context;
  // Who caught it is known of one target alone.
  if (table.targetCount[row] !== 1 || context.shareOfTarget(row) < MOST_OF_TARGET) return null;
  const from = structure.target(table.targetId[row])?.bid ?? 0;
  const cpc = costPerClick(context, row);
  const value = context.value(row);
  if (from <= 0 || cpc === null || cpc === 0 || value === null) return null;
  const to = roundDownToStep(from * ((targetAcos * value.mean) / cpc) ** (1 / CPC_POWER), bidStep);
  return to >= minBid && to < from ? { targetId: table.targetId[row], from, to } : null;
}
