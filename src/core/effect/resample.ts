import { steadyChance } from '../evidence';
import { growthOf, outcomeOf, over } from './outcome';
import type { Growth, Outcome, Unit } from './outcome';
import type { Pool } from './pools';

export const RESAMPLES = 300;
/** Below so many targets a bootstrap over them says too little, and what like targets did by themselves tells the noise. */
const FEW = 8;
/** Compared targets of one drawing at most; the spread of larger pools is scaled down to their size. */
const MOST_DRAWN = 400;

/** What might as well have come, had the lot fallen on other targets: for the interval. */
export function resample(units: readonly Unit[]): Outcome[] {
  const chance = steadyChance(units.length);
  const isFew = units.length < FEW;
  return Array.from({ length: RESAMPLES }, (_, drawing) => {
    const picked = isFew
      ? units.map((unit) => noisy(unit, chance))
      : units.map(() => units[Math.floor(chance() * units.length)]);
    return outcomeOf(picked, (pool) => drawnGrowths(pool)[drawing]);
  });
}

/** Each pool is drawn from once, for all the changes that are compared with it. */
const drawn = new WeakMap<Pool, Growth[]>();

function drawnGrowths(pool: Pool): Growth[] {
  let growths = drawn.get(pool);
  if (!growths) {
    const chance = steadyChance(pool.spendBefore.length);
    growths = Array.from({ length: RESAMPLES }, () => drawGrowth(pool, chance));
    drawn.set(pool, growths);
  }
  return growths;
}

function drawGrowth(pool: Pool, chance: () => number): Growth {
  const size = pool.spendBefore.length;
  const count = Math.min(size, MOST_DRAWN);
  const known = growthOf(pool);
  let [spendBefore, spendAfter, salesBefore, salesAfter] = [0, 0, 0, 0];
  for (let draw = 0; draw < count; draw += 1) {
    const at = Math.floor(chance() * size);
    spendBefore += pool.spendBefore[at];
    spendAfter += pool.spendAfter[at];
    salesBefore += pool.salesBefore[at];
    salesAfter += pool.salesAfter[at];
  }
  // m of n: the logarithm of a ratio of sums spreads as one over the root of what it is made of.
  const scaled = (ratio: number, whole: number) =>
    ratio > 0 && whole > 0 ? whole * (ratio / whole) ** Math.sqrt(count / size) : whole;
  return {
    spend: scaled(over(spendAfter, spendBefore), known.spend),
    sales: scaled(over(salesAfter, salesBefore), known.sales),
  };
}

/** Of what is usual in a pool, so much is added to both sides of a single target: one that sold nothing might have sold a little. */
const SMOOTHING = 0.25;

/** A single target, over what one like it did from weeks to weeks without a change. */
function noisy(unit: Unit, chance: () => number): Unit {
  const { pool } = unit;
  const at = Math.floor(chance() * pool.spendBefore.length);
  const went = growthOf(pool);
  const both = (own: [number, number], before: number[], after: number[], growth: number, mean: number) => {
    const usual = SMOOTHING * mean;
    const byItself = (after[at] + usual * growth) / (before[at] * growth + usual * growth || 1);
    return [own[0] + usual, (own[1] + usual * growth) / (byItself || 1)];
  };
  const { spendBefore, spendAfter, salesBefore, salesAfter } = pool;
  const spend = both(
    [unit.spendBefore, unit.spendAfter],
    spendBefore,
    spendAfter,
    went.spend,
    went.usualSpend,
  );
  const sales = both(
    [unit.salesBefore, unit.salesAfter],
    salesBefore,
    salesAfter,
    went.sales,
    went.usualSales,
  );
  return {
    ...unit,
    spendBefore: spend[0],
    spendAfter: spend[1],
    salesBefore: sales[0],
    salesAfter: sales[1],
  };
}
