import type { BidMemory } from '../../observe';
import type { PlayedMarket } from '../../playedMarket';

/** Keeps what is seen before a night: all rules of it want by the same figures, as they do for real. */
export function keptTonight<T>(look: (market: PlayedMarket, memory: BidMemory) => T) {
  const kept = new WeakMap<PlayedMarket, { days: number; value: T }>();
  return (market: PlayedMarket, memory: BidMemory): T => {
    const known = kept.get(market);
    if (known?.days === market.days.length) return known.value;
    const value = look(market, memory);
    kept.set(market, { days: market.days.length, value });
    return value;
  };
}
