import { fitAt, momentsOf } from './moments';
import type { Fit, Moments } from './moments';
import { tellingPairs } from './panel';
import type { RankPanel } from './panel';
import { LONGEST_LAG, sampleOf } from './sample';
import { quantileOf, steadyChance } from '../evidence';

/** Orders more a week that the effect is told for. */
export const ORDERS_MORE = 10;
/** Days after which it is told. */
export const EFFECT_DAYS = 56;
/** Fewer days of ranks than these, or fewer pairs with ad orders, are too early to say. */
export const LEAST_DAYS = 56;
export const LEAST_PAIRS = 8;
const LEAST_ORDERS = 5;
const RESAMPLES = 200;
/** More pairs than these make it no surer, and slower. */
const MOST_PAIRS = 2000;
/** The interval holds so much. */
export const RANK_INTERVAL = 0.9;

/** What ads did to organic ranks. Moves are changes of the logarithm of the rank: -0.69 halves it. */
export type RankEffect =
  | { verdict: 'early'; days: number; pairs: number }
  | {
      /** `nothing`: the interval holds zero, so the account's figures show no effect. */
      verdict: 'nothing' | 'known';
      days: number;
      /** Pairs with ad orders. */
      pairs: number;
      /** Days between an order and the first move of the rank, and the range that holds `RANK_INTERVAL`. */
      lag: number;
      lags: [number, number];
      /** Move after `EFFECT_DAYS` days of `ORDERS_MORE` ad orders more a week. */
      move: number;
      moves: [number, number];
      fade: number;
      perOrder: number;
    };

/**
 * Fits how ad orders move organic ranks, over all product × terms of an account: step of log rank = own level + day − fade × log rank + perOrder × ad
 * orders `lag` days before. What a pair always is and what a day did to all are taken out, so what is compared is pairs with more orders with pairs
 * without, before and after (two-way differences). A panel this short bends such fits toward coming back too soon; half-panel jackknife (Dhaene and
 * Jochmans, 2015) takes that out. The interval comes from drawing pairs anew; the lag is chosen anew in each drawing.
 */
export function rankEffect(all: RankPanel): RankEffect {
  const { days } = all;
  const withAds = pairsWithAds(all);
  if (days < LEAST_DAYS || withAds < LEAST_PAIRS) return { verdict: 'early', days, pairs: withAds };
  const panel = tellingPairs(all, MOST_PAIRS);
  const middle = Math.floor((LONGEST_LAG + days - 1) / 2);
  const [whole, first, second] = [
    [LONGEST_LAG, days],
    [LONGEST_LAG, middle],
    [middle, days],
  ].map(([from, to]) => momentsOf(sampleOf(panel, from, to), panel.pairs));
  const once = new Float64Array(panel.pairs).fill(1);
  const fitted = fitAll(whole, [first, second], once);
  if (!fitted) return { verdict: 'early', days, pairs: withAds };
  const drawings = drawn(panel.pairs, (weight) => fitAll(whole, [first, second], weight));
  const range = (values: number[]): [number, number] => {
    const sorted = Float64Array.from(values).sort();
    return [quantileOf(sorted, (1 - RANK_INTERVAL) / 2), quantileOf(sorted, (1 + RANK_INTERVAL) / 2)];
  };
  const moves = range(drawings.map((one) => moveOf(one, ORDERS_MORE)));
  return {
    verdict: moves[1] < 0 ? 'known' : 'nothing',
    days,
    pairs: withAds,
    lag: fitted.lag,
    lags: range(drawings.map(({ lag }) => lag)),
    move: moveOf(fitted, ORDERS_MORE),
    moves,
    fade: fitted.fade,
    perOrder: fitted.perOrder,
  };
}

type Lagged = Pick<Fit, 'fade' | 'perOrder'> & { lag: number };

/** Move of the logarithm of the rank that so many orders more a week bring in `EFFECT_DAYS` days. */
export function moveOf({ fade, perOrder }: Pick<Fit, 'fade' | 'perOrder'>, ordersAWeek: number): number {
  const kept = 1 - Math.max(0, fade);
  const gathered = fade > 1e-6 ? (1 - kept ** EFFECT_DAYS) / fade : EFFECT_DAYS;
  return ((perOrder * ordersAWeek) / 7) * gathered;
}

function pairsWithAds({ pairs, days, orders }: RankPanel): number {
  let count = 0;
  for (let pair = 0; pair < pairs; pair += 1) {
    let sum = 0;
    for (let day = 0; day < days; day += 1) sum += orders[pair * days + day];
    if (sum >= LEAST_ORDERS) count += 1;
  }
  return count;
}

/** The fit at the lag that leaves least unexplained, with what a short panel bends taken out. */
function fitAll(whole: Moments, halves: Moments[], weight: ArrayLike<number>): Lagged | null {
  let [lag, best]: [number, Fit | null] = [0, null];
  for (let tried = 0; tried < whole.lags; tried += 1) {
    const fit = fitAt(whole, tried, weight);
    if (fit && (best === null || fit.left < best.left)) [lag, best] = [tried, fit];
  }
  if (!best) return null;
  const half = halves.map((moments) => fitAt(moments, lag, weight));
  const [first, second] = half;
  if (!first || !second) return { lag, fade: best.fade, perOrder: best.perOrder };
  const mended = (key: 'fade' | 'perOrder') => 2 * best[key] - (first[key] + second[key]) / 2;
  // A fade below zero would have ranks run away from where they stand.
  return { lag, fade: Math.max(0, mended('fade')), perOrder: mended('perOrder') };
}

function drawn(pairs: number, fit: (weight: Float64Array) => Lagged | null): Lagged[] {
  const chance = steadyChance(pairs);
  const list: Lagged[] = [];
  for (let drawing = 0; drawing < RESAMPLES; drawing += 1) {
    const weight = new Float64Array(pairs);
    for (let draw = 0; draw < pairs; draw += 1) weight[Math.floor(chance() * pairs)] += 1;
    const one = fit(weight);
    if (one) list.push(one);
  }
  return list;
}
