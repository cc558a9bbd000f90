import { emptyPanel, EFFECT_DAYS, ORDERS_MORE, rankEffect } from '../core/rank';
import type { RankEffect } from '../core/rank';
import type { Scenario } from '../market/sim';
import { PlayedMarket } from './playedMarket';
import { trialScenario } from './runTrial';
import type { Market } from './runTrial';

/** What the figures of a played market tell of orders and ranks, beside what is true there. */
export interface PlayedRank {
  told: RankEffect;
  /** Days that orders wait before they move a rank. */
  lag: number;
  /** Move of the logarithm of the rank that `ORDERS_MORE` orders more a week bring in `EFFECT_DAYS` days. */
  truth: number;
}

/**
 * Plays a market in which orders move ranks after some days, and looks at it as an account would: ranks, and ad orders by their clicks' day.
 * @param moves whether orders move ranks at all
 */
export function playRank(seed: number, days: number, lag: number, moves: boolean, kind: Market): PlayedRank {
  const plain = trialScenario(seed, kind);
  const market = new PlayedMarket({ ...plain, days, nature: { ...plain.nature, rankLag: lag } });
  market.play(days);
  return { told: rankEffect(panelOf(market, moves)), lag, truth: moves ? trueMove(plain, lag) : 0 };
}

/** A pair that stands better than this without more orders comes to the top with them, and can go no further. */
const FAR_FROM_THE_TOP = 20;

/** The same market twice, once with more orders: what a rank wins sells without ads too, and moves it further. */
function trueMove(plain: Scenario, lag: number): number {
  const [without, withMore] = [0, ORDERS_MORE / 7].map((ordersMore) => {
    const market = new PlayedMarket({ ...plain, nature: { ...plain.nature, rankLag: lag, ordersMore } });
    market.play(EFFECT_DAYS + lag + 1);
    return market.days.at(-1)!.ranks.map(({ rank }) => rank);
  });
  const moved = without.flatMap((rank, pair) =>
    rank > FAR_FROM_THE_TOP ? [Math.log(withMore[pair] / rank)] : [],
  );
  return moved.reduce((sum, one) => sum + one, 0) / moved.length;
}

/** @param isOwn false: each pair's ad orders beside the ranks of another one, which they did not move */
export function panelOf({ books, days, world }: PlayedMarket, isOwn = true) {
  const ranked = days[0].ranks.map(({ productId, term }) => `${productId} ${term}`);
  const at = new Map(ranked.map((key, pair) => [key, pair]));
  const panel = emptyPanel(ranked.length, days.length);
  const productOf = productByTarget(books);
  const other = Math.floor(ranked.length / 2);
  days.forEach(({ ranks, terms, late }, day) => {
    for (const { productId, term, rank } of ranks)
      panel.rank[at.get(`${productId} ${term}`)! * days.length + day] = rank;
    const add = (targetId: string, term: string, orders: number) => {
      const pair = at.get(`${productOf.get(targetId)} ${term}`);
      if (pair === undefined) return;
      const to = isOwn ? pair : (pair + other) % ranked.length;
      panel.orders[to * days.length + day] += orders;
    };
    for (const { targetId, term, orders } of terms) add(targetId, term, orders);
    for (const { targetId, term, arrives } of late)
      if (arrives < world.scenario.today) add(targetId, term, 1);
  });
  return panel;
}

function productByTarget({ targets, ads }: PlayedMarket['books']): Map<string, string> {
  const ofGroup = new Map(ads.map(({ adGroupId, productId }) => [adGroupId, productId]));
  return new Map(targets.map(({ id, adGroupId }) => [id, ofGroup.get(adGroupId)!]));
}
