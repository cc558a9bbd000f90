import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';

/** What a campaign is known to do. Money in micros, a day. */
export interface Known {
  /** What its budget lets through. */
  spend: Micros;
  cpc: Micros;
  /** Sales per click, and the orders and sales that they are known from. */
  rpc: Micros;
  orders: number;
  sales: Micros;
}

/** A month to come, with the 80 % interval of its sales and of what is left after ads. Money in micros. */
export interface GrowthForecast {
  spend: Micros;
  sales: Micros;
  low: Micros;
  high: Micros;
  acos: number | null;
  /** Null where the margin is not known. */
  afterAds: { mean: Micros; low: Micros; high: Micros } | null;
  /** Campaigns that nothing is known of yet: what they do comes on top. */
  unknown: number;
}

const Z80 = 1.2816;
/** What is known of a product beside a campaign's own orders counts like so many. */
const BESIDE = 2;

/**
 * What campaigns come to in a month at their budgets. Sales = clicks x sales per click; their variance: sales^2 / (orders known + 2) for the rate, and
 * sales x value of an order for chance (orders come one by one).
 * @param margin left of a price before ads, share; null: not known
 */
export function growthForecast(campaigns: readonly (Known | null)[], margin: number | null): GrowthForecast {
  let [spend, sales, variance] = [0, 0, 0];
  for (const one of campaigns) {
    if (one === null || one.cpc <= 0) continue;
    const month = one.spend * DAYS_PER_MONTH;
    const sold = (month / one.cpc) * one.rpc;
    spend += month;
    sales += sold;
    variance +=
      sold ** 2 / (one.orders + BESIDE) + sold * (one.orders > 0 ? one.sales / one.orders : one.rpc);
  }
  const width = Z80 * Math.sqrt(variance);
  const [low, high] = [Math.max(0, sales - width), sales + width];
  const left = (amount: Micros) => (margin ?? 0) * amount - spend;
  return {
    spend,
    sales,
    low,
    high,
    acos: sales > 0 ? spend / sales : null,
    afterAds: margin === null ? null : { mean: left(sales), low: left(low), high: left(high) },
    unknown: campaigns.filter((one) => one === null || one.cpc <= 0).length,
  };
}
