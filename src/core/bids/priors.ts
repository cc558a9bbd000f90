import { fitStrength } from '../evidence';
import type { BidObservations } from './observations';
import type { Exposures } from './exposures';

/** What is usual for each target, before its own figures. */
export interface Priors {
  /** Orders per unit of exposure that are usual there. */
  mean: Float64Array;
  /** Order value that is usual for its product, micros. */
  productValue: Float64Array;
  /** How much the usual counts, in orders. */
  strength: number;
  /** The account's order value, micros. */
  accountValue: number;
}

/** Orders at what is expected that are added to those of a product, a kind, or both. */
const FACTOR_ORDERS = 10;
const PRICE_ORDERS = 5;

/**
 * Prior means by back-off: account rate (K + 1) / (E + 12), x product factor x kind factor x (product x kind) factor, each
 * (k + 10) / (expected + 10) given the levels before.
 */
export function priorsOf({ targets, products }: BidObservations, exposures: Exposures): Priors {
  const { exposure, orders, sales } = exposures;
  const total = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0);
  const [K, E, R] = [total(orders), total(exposure), total(sales)];
  const mean = new Float64Array(targets.length).fill((K + 1) / (E + 12));
  const levels: ((at: number) => string)[] = [
    (at) => `${targets[at].product}`,
    (at) => targets[at].kind,
    (at) => `${targets[at].product} ${targets[at].kind}`,
  ];
  for (const keyOf of levels) applyFactors(mean, exposures, keyOf);
  const known = products.map(({ price }) => price).filter((price): price is number => price !== null);
  const usualPrice = known.length > 0 ? known.reduce((sum, price) => sum + price, 0) / known.length : 0;
  const accountValue = K > 0 ? R / K : usualPrice;
  return {
    mean,
    productValue: productValues(targets, products, exposures, accountValue),
    strength: fitStrength(exposure, orders, mean),
    accountValue,
  };
}

function applyFactors(mean: Float64Array, { exposure, orders }: Exposures, keyOf: (at: number) => string) {
  const groups = new Map<string, { k: number; expected: number }>();
  const keys = Array.from(mean, (_, at) => keyOf(at));
  keys.forEach((key, at) => {
    let group = groups.get(key);
    if (!group) groups.set(key, (group = { k: FACTOR_ORDERS, expected: FACTOR_ORDERS }));
    group.k += orders[at];
    group.expected += exposure[at] * mean[at];
  });
  keys.forEach((key, at) => {
    const { k, expected } = groups.get(key)!;
    mean[at] *= k / expected;
  });
}

/** V of a product: (sales + 5 price) / (orders + 5); the account's order value stands in for a price that is not known. */
function productValues(
  targets: BidObservations['targets'],
  products: BidObservations['products'],
  { orders, sales }: Exposures,
  accountValue: number,
): Float64Array {
  const [k, r] = [new Float64Array(products.length), new Float64Array(products.length)];
  targets.forEach(({ product }, at) => {
    k[product] += orders[at];
    r[product] += sales[at];
  });
  return Float64Array.from(products, ({ price }, at) => {
    const usual = price ?? accountValue;
    return (r[at] + PRICE_ORDERS * usual) / (k[at] + PRICE_ORDERS);
  });
}
