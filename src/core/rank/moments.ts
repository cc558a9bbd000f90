import type { RankSample } from './sample';

/** Numbers kept of each pair and lag. */
const SIZE = 5;

/**
 * What a fit needs of a sample, pair by pair: a bootstrap that draws pairs adds these up instead of going over all days again.
 */
export interface Moments {
  lags: number;
  pairs: number;
  /** By pair: step × step, then by lag start², start × orders, orders², start × step, orders × step. */
  squares: Float64Array;
  products: Float64Array;
}

export function momentsOf({ pair, step, start, orders }: RankSample, pairs: number): Moments {
  const lags = orders.length;
  const squares = new Float64Array(pairs);
  const products = new Float64Array(pairs * lags * SIZE);
  for (let row = 0; row < step.length; row += 1) {
    const [y, s] = [step[row], start[row]];
    squares[pair[row]] += y * y;
    for (let lag = 0; lag < lags; lag += 1) {
      const x = orders[lag][row];
      const to = (pair[row] * lags + lag) * SIZE;
      products[to] += s * s;
      products[to + 1] += s * x;
      products[to + 2] += x * x;
      products[to + 3] += s * y;
      products[to + 4] += x * y;
    }
  }
  return { lags, pairs, squares, products };
}

/** How a rank moves: the share of its way back that it goes in a day, and what an ad order adds to the logarithm of it. */
export interface Fit {
  /** Share of the distance to where it stands without ads that a rank goes back in a day. */
  fade: number;
  /** Change of the logarithm of the rank that one ad order brings on the day on which it counts; below zero is better. */
  perOrder: number;
  /** How much of the squares of all steps is left unexplained. */
  left: number;
}

/**
 * Least squares of step on start and orders at a lag. @param weight how often each pair was drawn
 * @returns null where orders never differ
 */
export function fitAt(moments: Moments, lag: number, weight: ArrayLike<number>): Fit | null {
  const sum = [0, 0, 0, 0, 0];
  let all = 0;
  for (let pair = 0; pair < moments.pairs; pair += 1) {
    const often = weight[pair];
    if (often === 0) continue;
    all += often * moments.squares[pair];
    const at = (pair * moments.lags + lag) * SIZE;
    for (let each = 0; each < SIZE; each += 1) sum[each] += often * moments.products[at + each];
  }
  const [ss, sx, xx, sy, xy] = sum;
  const determinant = ss * xx - sx * sx;
  if (!(determinant > 1e-9 * ss * xx)) return null;
  const back = (sy * xx - xy * sx) / determinant;
  const perOrder = (xy * ss - sy * sx) / determinant;
  return { fade: -back, perOrder, left: all - back * sy - perOrder * xy };
}
