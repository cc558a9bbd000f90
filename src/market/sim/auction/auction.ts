import { normalCdf, normalQuantile } from '../chance/normal';
import type { Stream } from '../chance/stream';
import type { Placement } from '../../../core/structure';

/** Spread of rivals' bids around their median, of the logarithm. */
export const RIVAL_SPREAD = 0.55;

/** What differs between placements: how dear they are, how often a search shows them, how well ads there are clicked. */
export const PLACEMENT_FACTS: Record<
  Placement,
  { dearer: number; shown: number; shownOnVisit: number; clicked: number }
> = {
  top: { dearer: 0.45, shown: 0.5, shownOnVisit: 0, clicked: 2.1 },
  rest: { dearer: 0, shown: 1.1, shownOnVisit: 0, clicked: 1 },
  pages: { dearer: -0.2, shown: 0.35, shownOnVisit: 1.2, clicked: 0.6 },
};

/** Rivals bid more in the evening. By hour of the day, of the logarithm. */
const RIVAL_HOUR = Array.from({ length: 24 }, (_, hour) => 0.14 * Math.sin(((hour - 13) / 24) * 2 * Math.PI));

/**
 * How far a bid stands above the rivals' median, in spreads of their bids.
 * @param bid effective bid at the placement, micros @param rival rivals' median at rest of search, micros
 * @param quality how well the ad fits, about 1
 */
export function standing(
  bid: number,
  rival: number,
  quality: number,
  placement: Placement,
  hour: number,
  drift: number,
): number {
  return (
    (Math.log((bid * quality) / rival) - PLACEMENT_FACTS[placement].dearer - RIVAL_HOUR[hour] - drift) /
    RIVAL_SPREAD
  );
}

/** Chance to win a slot at a standing. */
export const winChance = normalCdf;

/**
 * What a click costs that was won at a standing: the rivals' best bid below it, brought up to the ad's quality. Always
 * below the bid, at least a hundredth of the currency, in whole hundredths.
 * @param ownShare how far the own bid sets the price, 0 (the next bidder's) to 1 (the bid itself)
 */
export function clickPrice(bid: number, at: number, random: Stream, ownShare = 0): number {
  const share = Math.max(1e-9, random.next() * normalCdf(at));
  const beaten = normalQuantile(Math.min(1 - 1e-9, share));
  const next = bid * Math.exp(RIVAL_SPREAD * Math.min(0, beaten - at));
  const price = next + ownShare * (bid - next);
  return Math.max(10_000, Math.min(Math.floor(bid / 10_000), Math.round(price / 10_000)) * 10_000);
}
