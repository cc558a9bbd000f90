import type { Stream } from '../chance/stream';
import type { Query } from '../world/query';
import type { World } from '../world/world';
import type { RankFact, SimState } from './facts';
import type { Till } from './orders';

/** Standing forgets this share a day: about a month's sales count. */
const FORGETS = 0.035;
/** Standing that one order adds. */
const PER_ORDER = 0.035;
const LAST_RANK = 120;

/** What the logarithm of the rank loses for one of standing. */
const PER_STANDING = 1.5;

/** Rank in the unpaid results from standing: 0 stands at 120, 1 near 30, 3 at the top. */
export function rankOf(standing: number): number {
  return Math.max(1, Math.round(LAST_RANK * Math.exp(-PER_STANDING * standing)));
}

/** Share of searches whose shopper clicks the unpaid result at a rank. */
const clickedAt = (rank: number) => 0.22 * rank ** -0.95;

/** Standing at the scenario's start: well-fitting head queries stand well, most do not. */
export function firstStanding(world: World): Record<string, number> {
  return Object.fromEntries(
    rankedQueries(world).map((query) => [
      query.text,
      Math.max(
        0,
        Math.min(
          3,
          (query.conversion / world.scenario.products[query.product].conversion) * (0.4 + 1.8 * query.coin),
        ),
      ),
    ]),
  );
}

const known = new WeakMap<World, Query[]>();

/** The queries whose rank the market tells. */
export function rankedQueries(world: World): Query[] {
  let list = known.get(world);
  if (!list) known.set(world, (list = world.queries.filter(({ kind }) => kind === 'core')));
  return list;
}

/** Orders that came without an ad; they and the ad's orders move the standing. */
export class Organic {
  private readonly orders = new Map<Query, number>();
  private readonly world: World;
  private readonly state: SimState;
  private readonly till: Till;

  constructor(world: World, state: SimState, till: Till) {
    this.world = world;
    this.state = state;
    this.till = till;
  }

  /** The unpaid side of a day's searches of one query. @returns orders */
  searched(query: Query, searches: number, sells: number, random: Stream): void {
    // What has no rank of its own stands somewhere on the second page.
    const rank = query.kind === 'core' ? rankOf(this.state.standing[query.text] ?? 0) : 28;
    const orders = random.poisson(searches * clickedAt(rank) * query.conversion * sells);
    for (let count = 0; count < orders; count += 1) {
      const units = 1 + (random.next() < 0.16 ? 1 : 0);
      const sales = units * this.till.listings[query.product].price;
      this.till.take({ product: query.product, units, sales, delay: 0 }, random);
    }
    this.ordered(query, orders);
  }

  /** Notes orders, ad or not, that lift the query's standing. */
  ordered(query: Query, orders: number): void {
    if (query.kind === 'core' && orders > 0) this.orders.set(query, (this.orders.get(query) ?? 0) + orders);
  }

  /** The orders that move the standing today: the day's own, or those of the day that the market's lag goes back to. */
  private orderedBefore(): Record<string, number> {
    const own = Object.fromEntries([...this.orders].map(([{ text }, count]) => [text, count]));
    const lag = this.world.scenario.nature?.rankLag ?? 0;
    if (lag === 0) return own;
    const waiting = (this.state.waiting ??= []);
    waiting.push(own);
    return waiting.length > lag ? waiting.shift()! : {};
  }

  /** Moves every standing by the day's orders, and tells the ranks that shoppers saw. */
  close(): RankFact[] {
    const { world, state } = this;
    const orders = this.orderedBefore();
    const more = world.scenario.nature?.ordersMore ?? 0;
    return rankedQueries(world).map((query) => {
      const before = state.standing[query.text] ?? 0;
      const gain = PER_ORDER * Math.min(6, (orders[query.text] ?? 0) + more);
      state.standing[query.text] = Math.max(0, Math.min(4, before * (1 - FORGETS) + gain));
      return {
        productId: world.products[query.product].id,
        term: query.text,
        rank: rankOf(before),
        weeklySearches: Math.round((query.volume * 7) / 5) * 5,
      };
    });
  }
}
