import { dayFromNumber } from '../../../core/units';
import { mixSeeds, seedOf, Stream } from '../chance/stream';
import type { World } from './world';

/** A product as shoppers see it on one day. */
export interface ProductListing {
  /** What they pay, micros. */
  price: number;
  /** Stars, 1 to 5. */
  rating: number;
  /** Pieces at hand. */
  stock: number;
  /** Share off its usual price. */
  discount: number;
}

/** What the seller has set in the shop, by product id; the rest follows by itself. */
export type ShopSettings = Record<string, Partial<Pick<ProductListing, 'price' | 'rating' | 'stock'>>>;

/** Days for which a discount runs, how often one does, and how deep it can be. */
const SALE = { days: 21, chance: 0.12, least: 0.08, most: 0.25 };
/** Pieces that come at once, and days until they do again. */
const DELIVERY = { pieces: 400, days: 35 };

/**
 * A product's price, rating, stock and discount on a day: the same from the same world and day. They stay as they begin until the scenario's present day;
 * afterwards, where its listings move, some weeks have a discount, ratings drift and stock runs down between deliveries.
 * @param day days since 1970
 */
export function listingOf(world: World, product: number, day: number, shop: ShopSettings): ProductListing {
  const { scenario, products } = world;
  const { id, price } = products[product];
  const seed = mixSeeds(scenario.seed, seedOf(`listing ${id}`));
  const random = new Stream(seed);
  const rating = Math.round(random.between(3.6, 4.8) * 10) / 10;
  const first = random.below(DELIVERY.days);
  const set = shop[id] ?? {};
  const usual = set.price ?? price;
  const moves = scenario.movingListings === true && dayFromNumber(day) >= scenario.today;
  if (!moves) return { price: usual, rating, stock: DELIVERY.pieces, discount: 0, ...set };
  const sale = new Stream(mixSeeds(seed, Math.floor(day / SALE.days)));
  const discount =
    sale.next() < SALE.chance ? Math.round(sale.between(SALE.least, SALE.most) * 100) / 100 : 0;
  const drift = Math.round(Math.sin(day / 40 + first) * 2) / 10;
  const age = (day + first) % DELIVERY.days;
  return {
    rating: Math.round(Math.min(5, Math.max(1, rating + drift)) * 10) / 10,
    stock: Math.max(0, Math.round(DELIVERY.pieces * (1 - age / DELIVERY.days))),
    ...set,
    price: Math.round((usual * (1 - discount)) / 10_000) * 10_000,
    discount,
  };
}

/** Shoppers buy more of what is cheaper than usual: orders per click times this. */
export const soldAt = ({ discount, stock }: ProductListing): number => (stock === 0 ? 0 : 1 + 1.5 * discount);
