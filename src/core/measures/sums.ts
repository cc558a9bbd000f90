import type { Micros } from '../units';

/** The additive figures of a scope over a window. Everything else is computed from these. */
export interface Sums {
  impressions: number;
  clicks: number;
  spend: Micros;
  orders: number;
  units: number;
  /** Sales attributed to ads. */
  sales: Micros;
}

export const NO_SUMS: Readonly<Sums> = { impressions: 0, clicks: 0, spend: 0, orders: 0, units: 0, sales: 0 };

/** Adds two sums. */
export function addSums(a: Sums, b: Sums): Sums {
  return {
    impressions: a.impressions + b.impressions,
    clicks: a.clicks + b.clicks,
    spend: a.spend + b.spend,
    orders: a.orders + b.orders,
    units: a.units + b.units,
    sales: a.sales + b.sales,
  };
}
