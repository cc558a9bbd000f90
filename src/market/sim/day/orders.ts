import { dayFromNumber } from '../../../core/units';
import type { Stream } from '../chance/stream';
import { listingOf } from '../world/listing';
import type { ProductListing } from '../world/listing';
import type { World } from '../world/world';
import type { ProductFact, SimState } from './facts';

/** Share of orders known at most so many days after the click: 60 % the same day, all after 14. */
const DELAYS: [share: number, first: number, last: number][] = [
  [0.6, 0, 0],
  [0.8, 1, 2],
  [0.95, 3, 7],
  [1, 8, 14],
];
/** Share of ad orders that buy another product of the line. */
const HALO = 0.12;
const SECOND_UNIT = 0.16;
/** Days until a unit comes back. */
const RETURN_AFTER = [4, 21] as const;

/** One order: what was bought, and how many days after the click. */
export interface Purchase {
  product: number;
  units: number;
  /** Micros. */
  sales: number;
  delay: number;
}

/** Draws what an order that followed an ad's click buys, and when. */
export function drawPurchase(
  listings: readonly ProductListing[],
  shown: number,
  neighbours: number[],
  random: Stream,
): Purchase {
  const isHalo = neighbours.length > 0 && random.next() < HALO;
  const product = isHalo ? random.pick(neighbours) : shown;
  const units = 1 + (random.next() < SECOND_UNIT ? 1 : 0);
  return { product, units, sales: units * listings[product].price, delay: drawDelay(random) };
}

/** Days between click and order. */
export function drawDelay(random: Stream): number {
  const chance = random.next();
  const [, first, last] = DELAYS.find(([share]) => chance < share)!;
  return first + random.below(last - first + 1);
}

/** All purchases of a day by product, and those still to come; refunds follow some of them. */
export class Till {
  private readonly state: SimState;
  private readonly world: World;
  private readonly day: number;
  /** Every product as shoppers see it on this day. */
  readonly listings: readonly ProductListing[];

  constructor(world: World, state: SimState, day: number) {
    this.world = world;
    this.state = state;
    this.day = day;
    this.listings = world.products.map((_, at) => listingOf(world, at, day, state.shop ?? {}));
  }

  /** Books a purchase on its day. */
  take({ product, units, sales, delay }: Purchase, random: Stream): void {
    const one = this.at(this.day + delay, product);
    one.orders += 1;
    one.units += units;
    one.sales += sales;
    if (random.next() >= this.world.products[product].refundRate) return;
    const back = this.at(
      this.day + delay + RETURN_AFTER[0] + random.below(RETURN_AFTER[1] - RETURN_AFTER[0]),
      product,
    );
    back.refundedUnits += units;
    back.refundedSales += sales;
  }

  /** The day's facts, every product with a row; takes them out of what is to come. */
  close(): ProductFact[] {
    const today = dayFromNumber(this.day);
    this.world.products.forEach((_, product) => this.at(this.day, product));
    const facts = this.state.coming[today];
    delete this.state.coming[today];
    return facts;
  }

  private at(day: number, product: number): ProductFact {
    const key = dayFromNumber(day);
    const list = (this.state.coming[key] ??= []);
    const { id } = this.world.products[product];
    let fact = list.find(({ productId }) => productId === id);
    if (!fact)
      list.push(
        (fact = { productId: id, orders: 0, units: 0, sales: 0, refundedUnits: 0, refundedSales: 0 }),
      );
    return fact;
  }
}
