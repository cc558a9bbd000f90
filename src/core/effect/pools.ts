import { beforeAndAfter } from './effectFeed';
import type { EffectFeed, WeeksAround } from './effectFeed';

/** A pool says something from so many targets with so many clicks before. */
const LEAST_TARGETS = 6;
const LEAST_CLICKS = 40;

/** Targets that nothing was done to, over the same weeks. */
export interface Pool {
  /** What they are, in words: the narrowest that still holds enough. */
  like: string;
  /** Figures of each before and after. */
  spendBefore: number[];
  spendAfter: number[];
  salesBefore: number[];
  salesAfter: number[];
  clicks: number;
}

/** What one target came to. */
interface Figures {
  clicks: number;
  spendBefore: number;
  spendAfter: number;
  salesBefore: number;
  salesAfter: number;
}

/** Finds what a target is compared with. */
export interface Pools {
  /** Null where too few targets were left alone. */
  poolFor: (target: number) => Pool | null;
}

/**
 * Pools of untouched targets around a day, over some weeks. A target is compared with those of its kind and size that stood as it did
 * (no sales, above its target, below): what was picked because it stood high would fall back by itself, and so do they. Where
 * those are too few, the kind counts no more, then the size, then the standing.
 */
export function makePools(feed: EffectFeed, around: WeeksAround, weeks: number): Pools {
  const pools = new Map<string, Pool>();
  const figuresOf = (target: number): Figures => {
    const [clicks] = beforeAndAfter(around.clicks, target, weeks);
    const [spendBefore, spendAfter] = beforeAndAfter(around.spend, target, weeks);
    const [salesBefore, salesAfter] = beforeAndAfter(around.sales, target, weeks);
    return { clicks, spendBefore, spendAfter, salesBefore, salesAfter };
  };
  const levelsOf = (target: number, { clicks, spendBefore, salesBefore }: Figures): string[] => {
    const { kind, targetAcos } = feed.targets[target];
    const size = clicks / weeks < 3 ? 'few clicks' : clicks / weeks < 15 ? 'some clicks' : 'many clicks';
    const standing =
      salesBefore === 0
        ? 'no sales'
        : spendBefore > targetAcos * salesBefore
          ? 'above target'
          : 'below target';
    return [`${kind}, ${size}, ${standing}`, `${size}, ${standing}`, standing, 'any target'];
  };
  feed.targets.forEach((_, target) => {
    if (isTouched(feed.touched[target], around.day, weeks)) return;
    const figures = figuresOf(target);
    if (figures.spendBefore === 0 && figures.spendAfter === 0) return;
    for (const like of levelsOf(target, figures)) add(pools, like, figures);
  });
  return {
    poolFor: (target) => {
      for (const like of levelsOf(target, figuresOf(target))) {
        const pool = pools.get(like);
        if (pool && pool.spendBefore.length >= LEAST_TARGETS && pool.clicks >= LEAST_CLICKS) return pool;
      }
      return null;
    },
  };
}

function isTouched(touched: readonly number[], day: number, weeks: number): boolean {
  return touched.some((one) => Math.abs(one - day) <= weeks * 7);
}

function add(pools: Map<string, Pool>, like: string, figures: Figures) {
  let pool = pools.get(like);
  if (!pool) {
    pool = { like, spendBefore: [], spendAfter: [], salesBefore: [], salesAfter: [], clicks: 0 };
    pools.set(like, pool);
  }
  pool.spendBefore.push(figures.spendBefore);
  pool.spendAfter.push(figures.spendAfter);
  pool.salesBefore.push(figures.salesBefore);
  pool.salesAfter.push(figures.salesAfter);
  pool.clicks += figures.clicks;
}
