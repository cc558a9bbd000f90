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

const GRID = Array.from({ length: 21 }, (_, step) => 0.3 * (25 / 0.3) ** (step / 20));

/**
 * Weight of the prior in orders, by marginal likelihood: orders of a target are negative binomial with shape alpha and
 * mean exposure x m. Maximum over a log grid 0.3-25 with ln alpha ~ N(ln 2, 1).
 */
export function fitStrength(exposure: Float64Array, orders: Float64Array, mean: Float64Array): number {
  const expected = exposure.map((weighted, at) => weighted * mean[at]);
  const lnExpected = expected.map(Math.log);
  let [best, most] = [2, -Infinity];
  for (const alpha of GRID) {
    const lnAlpha = Math.log(alpha);
    let sum = -0.5 * (lnAlpha - Math.LN2) ** 2;
    const risingLogs = [0];
    for (let at = 0; at < expected.length; at += 1) {
      if (expected[at] === 0) continue;
      const k = Math.round(orders[at]);
      for (let i = risingLogs.length; i <= k; i += 1)
        risingLogs.push(risingLogs[i - 1] + Math.log(alpha + i - 1));
      const lnBoth = Math.log(alpha + expected[at]);
      sum += risingLogs[k] + alpha * (lnAlpha - lnBoth);
      if (k > 0) sum += k * (lnExpected[at] - lnBoth);
    }
    if (sum > most) [best, most] = [alpha, sum];
  }
  return best;
}
