import type { RanDry } from '../../../core/budgets';
import type { PreparedBids } from '../../../core/bids';
import { withDryDays } from '../../budgetPolicies';
import type { BidMemory } from '../../observe';
import type { PlayedMarket } from '../../playedMarket';

interface Prepared {
  prepared: PreparedBids;
  dry: RanDry;
}

const kept = new WeakMap<PlayedMarket, { days: number; value: Prepared }>();

/** What is seen before a night: all rules of it want by the same figures, as they do for real. */
export function preparedTonight(market: PlayedMarket, memory: BidMemory): Prepared {
  const known = kept.get(market);
  if (known?.days === market.days.length) return known.value;
  const value = withDryDays(market, memory);
  kept.set(market, { days: market.days.length, value });
  return value;
}
