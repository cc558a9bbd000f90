import type { Exposures } from './exposures';
import type { BidObservations } from './observations';
import type { WinCurves } from './winCurves';

/** What a click costs: what the next bidder bids, what one bids oneself, or in between. */
export interface PriceRule {
  /** How far the own bid sets the price: 0 (the next bidder does) to 1. */
  gamma: number;
  /** The same as it was measured, before too little counts as none. */
  measured: number;
  /** Targets with clicks enough that tell of it, and their clicks. */
  targets: number;
  clicks: number;
  curves: WinCurves;
}

const LEAST_CLICKS = 5;
/** Less than this is what chance alone shows. */
const LEAST_GAMMA = 0.3;
/** Fewer targets with clicks than so do not tell what sets the price. */
export const PRICE_TARGETS = 10;

/**
 * How far the own bid sets the price: gamma = sum w (r - g)(1 - g) / sum w (1 - g)^2 over targets with 5 and more clicks, r = cost per
 * click / effective bid, g the mean price / bid where the next bidder sets it.
 */
export function priceRule(
  { targets }: Pick<BidObservations, 'targets'>,
  { clicks, cpc, raises }: Pick<Exposures, 'clicks' | 'cpc' | 'raises'>,
  curves: WinCurves,
): PriceRule {
  const mean = meanPrice(curves.steepness);
  let [above, below, count, told] = [0, 0, 0, 0];
  for (let at = 0; at < targets.length; at += 1) {
    const bid = targets[at].bid * raises[targets[at].campaign];
    if (clicks[at] < LEAST_CLICKS || bid <= 0 || curves.level[at] <= 0) continue;
    const g = mean(bid / curves.level[at]);
    above += clicks[at] * (cpc[at] / bid - g) * (1 - g);
    below += clicks[at] * (1 - g) ** 2;
    count += 1;
    told += clicks[at];
  }
  const gamma = count >= PRICE_TARGETS && below > 0 ? Math.min(1, above / below) : 0;
  return { gamma: gamma < LEAST_GAMMA ? 0 : gamma, measured: gamma, targets: count, clicks: told, curves };
}

const TABLE = { from: -4, to: 4, step: 0.05 };

/** Mean price / bid of what was won in a second-price auction, by bid / L: 1 - integral of F up to it / (it x F). */
export function meanPrice(a: number): (u: number) => number {
  const size = Math.round((TABLE.to - TABLE.from) / TABLE.step) + 1;
  const values = new Float64Array(size);
  const F = (v: number) => v ** a / (1 + v ** a);
  // Below the table F is v^a.
  let u = Math.exp(TABLE.from);
  let integral = u ** (a + 1) / (a + 1);
  for (let at = 0; at < size; at += 1) {
    values[at] = 1 - integral / (u * F(u));
    const next = Math.exp(TABLE.from + (at + 1) * TABLE.step);
    integral += ((F(u) + F(next)) / 2) * (next - u);
    u = next;
  }
  return (at) => lookUp(values, at);
}

function lookUp(values: Float64Array, u: number): number {
  const place = (Math.min(TABLE.to, Math.max(TABLE.from, Math.log(u))) - TABLE.from) / TABLE.step;
  const low = Math.min(values.length - 2, Math.floor(place));
  return values[low] + (place - low) * (values[low + 1] - values[low]);
}

const SHADE_POWER = 0.7;

/**
 * How far a bid stays below what a click is worth, by worth / L: the marginal click costs b (1 + gamma (1 + r^a) / a) with r = b / L, so r
 * solves r (1 + gamma (1 + r^a) / a) = worth / L; the shade is (r / (worth / L))^.7.
 */
export function shadeOf({ gamma, curves: { steepness: a } }: PriceRule): (v: number) => number {
  if (gamma === 0) return () => 1;
  const size = Math.round((TABLE.to - TABLE.from) / TABLE.step) + 1;
  const values = new Float64Array(size);
  for (let at = 0; at < size; at += 1) {
    const v = Math.exp(TABLE.from + at * TABLE.step);
    let [low, high] = [0, v];
    for (let step = 0; step < 40; step += 1) {
      const r = (low + high) / 2;
      if (r * (1 + (gamma * (1 + r ** a)) / a) > v) high = r;
      else low = r;
    }
    values[at] = (low / v) ** SHADE_POWER;
  }
  return (v) => lookUp(values, v);
}
