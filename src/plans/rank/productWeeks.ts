import { groupBy } from '../../core/order';
import type { OrganicWeek, ProductSalesDay, RankFeed } from '../../core/rank';
import { shrunkConversion, standOver } from '../../core/rank';

/** What a product's ads and sales say beside its terms. Money in micros. */
export interface ProductUsual {
  /** Share of ad clicks that order. */
  conversion: number;
  /** What an ad click costs; null without clicks. */
  clickPrice: number | null;
  /** Sales of an order, ads or not; null without orders. */
  orderValue: number | null;
}

const WEEK = 7;

const noSales = () => ({ orders: 0, sales: 0, adClicks: 0, adOrders: 0, adSpend: 0, adSales: 0 });

/** What is usual of a product; one that was hardly clicked converts as all of them do. */
export function usualOf(days: readonly ProductSalesDay[]): (productId: number) => ProductUsual {
  const sums = new Map<number, ReturnType<typeof noSales>>();
  const all = noSales();
  for (const { productId, at: _, ...day } of days) {
    const own = sums.get(productId) ?? noSales();
    for (const key of Object.keys(day) as (keyof typeof day)[]) {
      own[key] += day[key];
      all[key] += day[key];
    }
    sums.set(productId, own);
  }
  const usual = all.adClicks > 0 ? all.adOrders / all.adClicks : 0;
  return (productId) => {
    const own = sums.get(productId);
    return {
      conversion: shrunkConversion(own?.adClicks ?? 0, own?.adOrders ?? 0, usual),
      clickPrice: own && own.adClicks > 0 ? own.adSpend / own.adClicks : null,
      orderValue: own && own.orders > 0 ? own.sales / own.orders : null,
    };
  };
}

/** Weeks of products with all of their days, for what a rank brings without ads. */
export function organicWeeks(
  { pairs, panel }: RankFeed,
  days: readonly ProductSalesDay[],
  usual: (productId: number) => ProductUsual,
): OrganicWeek[] {
  const weeks = new Map<string, { told: number; orders: number; product: number; week: number }>();
  for (const { productId, at, orders, adOrders } of days) {
    const week = Math.floor(at / WEEK);
    const key = `${productId} ${week}`;
    const own = weeks.get(key) ?? { told: 0, orders: 0, product: productId, week };
    own.told += 1;
    own.orders += Math.max(0, orders - adOrders);
    weeks.set(key, own);
  }
  const ofProduct = groupBy(
    pairs.map((pair, index) => ({ pair, index })),
    ({ pair }) => pair.term.productId,
  );
  return [...weeks.values()].flatMap(({ told, orders, product, week }) => {
    const own = ofProduct.get(product);
    if (told < WEEK || !own) return [];
    const terms = own.map(({ pair, index }) => {
      const ranks = panel.rank.subarray(index * panel.days, (index + 1) * panel.days);
      const searches = pair.term.searches[pair.term.at.findLastIndex((at) => at < (week + 1) * WEEK)] ?? 0;
      return { rank: standOver(ranks, week * WEEK, (week + 1) * WEEK) ?? 0, searches };
    });
    return [{ product, week, orders, conversion: usual(product).conversion, terms }];
  });
}
