import { dayFromNumber, dayNumber } from '../../../core/units';
import { clickPrice, PLACEMENT_FACTS, standing, winChance } from '../auction/auction';
import type { Field, Player } from '../auction/caught';
import { Bids } from './bids';
import { PLACEMENTS } from '../../../core/structure';
import type { Placement } from '../../../core/structure';
import { mixSeeds, Stream } from '../chance/stream';
import type { SimSchedule } from '../seller/books';
import type { Query } from '../world/query';
import { soldAt } from '../world/listing';
import { unseenQueries } from '../world/unseen';
import type { World } from '../world/world';
import { DayBook } from './dayBook';
import {
  expectedSearches,
  HOUR_SELLS,
  rivalDrift,
  seedOfQuery,
  spreadOverHours,
  WEEKDAY_SELLS,
  weekdayOf,
} from './demand';
import type { DayFacts, LateOrder, SimState } from './facts';
import { drawPurchase, Till } from './orders';
import { Organic } from './organic';
import { Purse } from './purse';
import { weekRhythm } from './rhythm';

/** An ad shown for somebody else's search is clicked and buys at this share of its own. */
const FOREIGN = { clicked: 0.45, sells: 0.2 };

/**
 * Plays one day, hour by hour: shoppers search, the winning ads are shown and clicked, campaigns run out of budget,
 * some clicks become orders. The same world, books, state and day give the same figures.
 * @param state what the day before left; changed into what this day leaves
 */
export function simulateDay(
  world: World,
  field: Field,
  schedules: SimSchedule[],
  state: SimState,
  day: string,
): DayFacts {
  return new DayPlay(world, field, schedules, state, dayNumber(day)).play();
}

/** What is searched on a day. */
interface Search {
  query: Query;
  /** The players that it calls up. */
  called: Int32Array;
  /** Of the query's own luck on this day. */
  seed: number;
}

/** What is searched in an hour, and how often. */
interface Hour {
  searches: Search[];
  counts: number[];
}

class DayPlay {
  private readonly book: DayBook;
  private readonly late: LateOrder[] = [];
  private readonly random = new Stream(0);
  private readonly till: Till;
  private readonly organic: Organic;
  private readonly purse: Purse;
  private readonly bids: Bids;
  private readonly drift: number;
  private readonly sells: number;
  private readonly neighbours: number[][];
  /** How well clicks sell by product and hour of this day, where the market has a rhythm of its own; null: by hour alone. */
  private readonly rhythm: Float64Array[] | null;

  constructor(
    private readonly world: World,
    private readonly field: Field,
    private readonly schedules: SimSchedule[],
    state: SimState,
    private readonly day: number,
  ) {
    const { scenario, products } = world;
    this.book = new DayBook(field);
    this.till = new Till(world, state, day);
    this.organic = new Organic(world, state, this.till);
    this.purse = new Purse(field, state);
    const drift = rivalDrift(day, dayNumber(scenario.today) - scenario.days);
    this.drift = drift * (scenario.nature?.drift ?? 1);
    this.sells = WEEKDAY_SELLS[weekdayOf(day)];
    this.bids = new Bids(field, this.till.listings, this.purse);
    this.neighbours = neighboursOf(products);
    this.rhythm = rhythmOfDay(world, day);
  }

  play(): DayFacts {
    const byHour = this.searches();
    byHour.forEach((all, hour) => {
      this.purse.beginHour(hour);
      this.setSchedules(hour);
      shuffle(all, this.random.reset(mixSeeds(this.world.scenario.seed, this.day, hour)));
      all.searches.forEach((search, at) => this.search(search, all.counts[at], hour));
    });
    const products = this.till.close();
    return {
      day: dayFromNumber(this.day),
      ...this.book.facts(),
      products,
      ranks: this.organic.close(),
      late: this.late,
    };
  }

  /** The day's searches by hour; the unpaid side of each happens on the way. */
  private searches(): Hour[] {
    const byHour: Hour[] = Array.from({ length: 24 }, () => ({ searches: [], counts: [] }));
    const counts = new Uint16Array(24);
    const { random, world, day } = this;
    const take = (query: Query, searches: number, seed: number) => {
      if (query.kind !== 'own item') this.organic.searched(query, searches, this.sells, random);
      const called = this.field.calledUpBy(query);
      if (called.length === 0) return;
      spreadOverHours(searches, random, counts);
      const search = { query, called, seed };
      for (let hour = 0; hour < 24; hour += 1)
        if (counts[hour] > 0) {
          byHour[hour].searches.push(search);
          byHour[hour].counts.push(counts[hour]);
        }
    };
    for (const query of world.queries) {
      const seed = seedOfQuery(world.scenario.seed, query, day);
      const searches = random.reset(seed).poisson(expectedSearches(query, day));
      if (searches > 0) take(query, searches, seed);
    }
    for (const query of unseenQueries(world, day)) {
      const seed = seedOfQuery(world.scenario.seed, query, day);
      random.reset(seed);
      take(query, 1, seed);
    }
    return byHour;
  }

  private setSchedules(hour: number) {
    const cell = weekdayOf(this.day) * 24 + hour;
    const changes = new Map<string, number>();
    for (const one of this.schedules)
      if (one.state === 'enabled')
        changes.set(one.campaignId, (changes.get(one.campaignId) ?? 0) + one.week[cell] / 100);
    this.field.campaigns.forEach(
      ({ id }, at) => (this.bids.scheduled[at] = Math.max(0, 1 + (changes.get(id) ?? 0))),
    );
  }

  private search({ query, called, seed }: Search, count: number, hour: number) {
    const { random } = this;
    random.reset(mixSeeds(seed, hour));
    const usual = this.world.scenario.products[query.product].conversion;
    const likely = (query.conversion * HOUR_SELLS[hour]) / usual;
    PLACEMENTS.forEach((placement, at) => {
      const facts = PLACEMENT_FACTS[placement];
      const slots = random.round(count * (query.isVisit ? facts.shownOnVisit : facts.shown));
      if (slots === 0) return;
      const { index, bid } = this.bids.best(called, at, likely);
      if (index >= 0) this.show(this.field.players[index], bid, query, placement, hour, slots);
    });
  }

  private show(player: Player, bid: number, query: Query, placement: Placement, hour: number, slots: number) {
    const { random, world } = this;
    const isForeign = player.product !== query.product;
    const clicked = query.clickRate * (isForeign ? FOREIGN.clicked : 1) * player.appeal;
    const quality = Math.min(1.6, Math.max(0.5, Math.sqrt(clicked / 0.022)));
    const at = standing(bid, query.rivalBid, quality, placement, hour, this.drift);
    const impressions = random.binomial(slots, winChance(at));
    if (impressions === 0) return;
    // A bid well above the rivals' wins the better slots of a placement too.
    const rate =
      clicked * PLACEMENT_FACTS[placement].clicked * (1 + 0.18 * Math.max(-1.5, Math.min(1.5, at)));
    const wanted = random.binomial(impressions, Math.min(0.6, rate));
    let clicks = 0;
    let spend = 0;
    for (let count = 0; count < wanted; count += 1) {
      const price =
        world.scenario.options.clickPrice ?? clickPrice(bid, at, random, world.scenario.nature?.ownBidPrice);
      if (this.purse.afford(player, 1, price) === 0) break;
      this.purse.pay(player, price);
      clicks += 1;
      spend += price;
    }
    const sells =
      query.conversion *
      (isForeign ? FOREIGN.sells : 1) *
      world.products[player.product].sellsAt[placement] *
      (this.rhythm ? this.rhythm[player.product][hour] : HOUR_SELLS[hour]) *
      (this.rhythm ? 1 : this.sells) *
      soldAt(this.till.listings[player.product]);
    const sold = this.sell(player, query, placement, hour, random.binomial(clicks, Math.min(0.9, sells)));
    this.book.add(player, query, PLACEMENTS.indexOf(placement), hour, {
      impressions,
      clicks,
      spend,
      ...sold,
    });
  }

  /** Orders that follow some clicks: those of the same day are returned, later ones noted. */
  private sell(player: Player, query: Query, placement: Placement, hour: number, all: number) {
    const sold = { orders: 0, units: 0, sales: 0 };
    for (let count = 0; count < all; count += 1) {
      const purchase = drawPurchase(
        this.till.listings,
        player.product,
        this.neighbours[player.product],
        this.random,
      );
      this.till.take(purchase, this.random);
      const { delay, units, sales } = purchase;
      if (delay === 0) {
        sold.orders += 1;
        sold.units += units;
        sold.sales += sales;
      } else
        this.late.push({
          arrives: dayFromNumber(this.day + delay),
          targetId: player.target.id,
          term: query.text,
          placement,
          campaignId: player.campaign.id,
          hour,
          units,
          sales,
        });
    }
    this.organic.ordered(query, all);
    return sold;
  }
}

function neighboursOf(products: World['products']): number[][] {
  return products.map(({ lineId }, index) =>
    products.flatMap((other, at) => (at !== index && other.lineId === lineId ? [at] : [])),
  );
}

/** The hours of a day, by product; null where the market has no rhythm of its own. */
function rhythmOfDay({ scenario, products }: World, day: number): Float64Array[] | null {
  const sigma = scenario.nature?.rhythm;
  if (sigma === undefined) return null;
  const lines = [...new Set(products.map(({ lineId }) => lineId))];
  const first = weekdayOf(day) * 24;
  const byLine = lines.map((_, line) => weekRhythm(scenario.seed, line, sigma).subarray(first, first + 24));
  return products.map(({ lineId }) => byLine[lines.indexOf(lineId)]);
}

function shuffle({ searches, counts }: Hour, random: Stream) {
  for (let at = searches.length - 1; at > 0; at -= 1) {
    const other = random.below(at + 1);
    const [search, count] = [searches[at], counts[at]];
    searches[at] = searches[other];
    counts[at] = counts[other];
    searches[other] = search;
    counts[other] = count;
  }
}
