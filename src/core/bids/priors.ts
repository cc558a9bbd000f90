import { fitStrength, lnGamma } from '../evidence';
import { largest } from '../order';
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

const PRICE_ORDERS = 5;
/** Orders in clicks that stand in for an account without figures. */
const BLANK = { orders: 1, exposure: 12 };
/** Weights, means and the strength hang on one another: so often they are worked out in turn. */
const ROUNDS = 3;
const FIRST_STRENGTH = 2;
/** Orders at what is expected that may be added to those of a group; the likeliest of these is taken for each level. */
const GROUP_STRENGTHS = [2.5, 5, 10, 20, 40, 80];
const USUAL_GROUP_STRENGTH = 10;

/** Targets by the groups of one level: the group of each, and how many there are. */
interface Level {
  groupOf: Int32Array;
  size: number;
}

/**
 * Prior means by random effects. A target tells of its group with the weight w = alpha / (alpha + e m): a thick one tells of itself. Three
 * times in turn: the account's rate (sum w k + 1) / (sum w e + 12); for product, kind, product x kind one after the other m x= (sum w k +
 * S) / (sum w e m + S) over the group; the strength alpha from all targets. S is how much groups of a level are alike, by marginal likelihood.
 */
export function priorsOf(
  { targets, products }: Pick<BidObservations, 'targets' | 'products'>,
  exposures: Pick<Exposures, 'exposure' | 'orders' | 'sales'>,
): Priors {
  const { exposure, orders, sales } = exposures;
  const total = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0);
  const levels = levelsOf(targets);
  const weight = new Float64Array(targets.length).fill(1);
  const mean = new Float64Array(targets.length);
  let strength = FIRST_STRENGTH;
  for (let round = 0; round < ROUNDS; round += 1) {
    let [k, e] = [BLANK.orders, BLANK.exposure];
    for (let at = 0; at < weight.length; at += 1) {
      k += weight[at] * orders[at];
      e += weight[at] * exposure[at];
    }
    mean.fill(k / e);
    for (const level of levels) applyLevel(mean, weight, exposures, level);
    strength = fitStrength(exposure, orders, mean);
    for (let at = 0; at < weight.length; at += 1)
      weight[at] = strength / (strength + exposure[at] * mean[at]);
  }
  const [K, R] = [total(orders), total(sales)];
  const known = products.map(({ price }) => price).filter((price): price is number => price !== null);
  const usualPrice = known.length > 0 ? known.reduce((sum, price) => sum + price, 0) / known.length : 0;
  const accountValue = K > 0 ? R / K : usualPrice;
  return {
    mean,
    productValue: productValues(targets, products, exposures, accountValue),
    strength,
    accountValue,
  };
}

/** Product, kind, and both together. */
function levelsOf(targets: BidObservations['targets']): Level[] {
  const kinds = new Map<string, number>();
  const kindOf = Int32Array.from(targets, ({ kind }) => {
    const known = kinds.get(kind) ?? kinds.size;
    kinds.set(kind, known);
    return known;
  });
  const productOf = Int32Array.from(targets, ({ product }) => product);
  // Without targets there is none.
  const products = Math.max(0, largest(productOf) + 1);
  return [
    { groupOf: productOf, size: products },
    { groupOf: kindOf, size: kinds.size },
    {
      groupOf: productOf.map((product, at) => product * kinds.size + kindOf[at]),
      size: products * kinds.size,
    },
  ];
}

function applyLevel(
  mean: Float64Array,
  weight: Float64Array,
  { exposure, orders }: Pick<Exposures, 'exposure' | 'orders'>,
  { groupOf, size }: Level,
): void {
  const [k, expected] = [new Float64Array(size), new Float64Array(size)];
  for (let at = 0; at < mean.length; at += 1) {
    k[groupOf[at]] += weight[at] * orders[at];
    expected[groupOf[at]] += weight[at] * exposure[at] * mean[at];
  }
  const S = likeliestStrength(k, expected);
  for (let at = 0; at < mean.length; at += 1) {
    const group = groupOf[at];
    mean[at] *= (k[group] + S) / (expected[group] + S);
  }
}

/**
 * The S under which the orders of a level's groups are likeliest: sum of ln Gamma(S + K) - ln Gamma(S) + S ln S - (S + K) ln(S + E) over
 * groups, with ln S around ln 10.
 */
function likeliestStrength(k: Float64Array, expected: Float64Array): number {
  let [best, most] = [USUAL_GROUP_STRENGTH, -Infinity];
  for (const S of GROUP_STRENGTHS) {
    let sum = -0.5 * Math.log(S / USUAL_GROUP_STRENGTH) ** 2;
    const own = S * Math.log(S) - lnGamma(S);
    for (let group = 0; group < k.length; group += 1)
      if (expected[group] > 0)
        sum += lnGamma(S + k[group]) + own - (S + k[group]) * Math.log(S + expected[group]);
    if (sum > most) [best, most] = [S, sum];
  }
  return best;
}

/** V of a product: (sales + 5 price) / (orders + 5); the account's order value stands in for a price that is not known. */
function productValues(
  targets: BidObservations['targets'],
  products: BidObservations['products'],
  { orders, sales }: Pick<Exposures, 'orders' | 'sales'>,
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
