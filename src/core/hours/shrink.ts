import { lnGamma } from '../evidence';

/** How much a list of rates differs, as prior weights in orders with how likely each is; Infinity: they do not differ. */
export interface PriorWeights {
  weight: number[];
  likely: number[];
}

const LOG_SD = 1.5;
/** Weights that are tried: 4 to 1,500 orders, and no difference at all. */
const GRID = [...Array.from({ length: 14 }, (_, at) => 4 * (1500 / 4) ** (at / 13)), Infinity];

/**
 * How much rates differ: over the grid of weights A, the negative-binomial likelihood of orders k at an expected e, shape A, times a log-normal
 * prior of A (median given, log sd 1.5; no difference at all counts like the largest A).
 * @param median orders by which such rates are usually held to 1
 */
export function priorWeights(
  orders: ArrayLike<number>,
  expected: ArrayLike<number>,
  median: number,
): PriorWeights {
  const logs = GRID.map((weight) => {
    let sum = -0.5 * (Math.log(Math.min(weight, 1500) / median) / LOG_SD) ** 2;
    for (let at = 0; at < orders.length; at += 1) {
      const [k, e] = [orders[at], expected[at]];
      if (e <= 0) continue;
      sum +=
        weight === Infinity
          ? k * Math.log(e) - e
          : lnGamma(weight + k) -
            lnGamma(weight) +
            weight * Math.log(weight / (weight + e)) +
            k * Math.log(e / (weight + e));
    }
    return sum;
  });
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const likely = logs.map((one) => Math.exp(one - most));
  const total = likely.reduce((a, b) => a + b, 0);
  return { weight: GRID, likely: likely.map((one) => one / total) };
}

/** A rate with what is known of it: its mean, sum w (k + A) / (e + A), and the standard deviation of its logarithm. */
export function shrunk(
  orders: number,
  expected: number,
  { weight, likely }: PriorWeights,
): { mean: number; sd: number } {
  let [mean, square] = [0, 0];
  for (let at = 0; at < weight.length; at += 1) {
    const one = weight[at] === Infinity ? 1 : (orders + weight[at]) / (expected + weight[at]);
    const spread = weight[at] === Infinity ? 0 : one ** 2 / (orders + weight[at]);
    mean += likely[at] * one;
    square += likely[at] * (one ** 2 + spread);
  }
  return { mean, sd: Math.sqrt(Math.max(0, square - mean ** 2)) / mean };
}
