import type { Sums } from './sums';

export type MeasureKey =
  | 'impressions'
  | 'clicks'
  | 'spend'
  | 'orders'
  | 'units'
  | 'sales'
  | 'ctr'
  | 'cpc'
  | 'cvr'
  | 'acos'
  | 'roas'
  | 'rpc'
  | 'costPerOrder'
  | 'orderValue';

export type MeasureUnit = 'count' | 'money' | 'share' | 'factor';

/** A measure as data: what it is called, what it means, how it is computed from sums. */
export interface Measure {
  key: MeasureKey;
  label: string;
  unit: MeasureUnit;
  /** Decimals shown, the same in every row (for shares: of per cent). */
  decimals: number;
  definition: string;
  /** Which direction is good for the seller, if either. */
  better: 'higher' | 'lower' | null;
  /** Money is in micros; shares are fractions of one. Null when there is no denominator. */
  of: (sums: Sums) => number | null;
}

/** The one rule for ratios: no denominator, no value. */
export function ratio(numerator: number, denominator: number): number | null {
  return denominator === 0 ? null : numerator / denominator;
}

const list: Measure[] = [
  m('impressions', 'Impressions', 'count', 0, 'How often the ad was shown.', null, (s) => s.impressions),
  m('clicks', 'Clicks', 'count', 0, 'Clicks on the ad, each paid for.', null, (s) => s.clicks),
  m('spend', 'Spend', 'money', 2, 'Paid for clicks.', null, (s) => s.spend),
  m(
    'orders',
    'Orders',
    'count',
    0,
    'Orders that followed clicks, booked on the click’s day.',
    'higher',
    (s) => s.orders,
  ),
  m('units', 'Units', 'count', 0, 'Items in these orders.', 'higher', (s) => s.units),
  m('sales', 'Sales', 'money', 2, 'Sales attributed to the ad.', 'higher', (s) => s.sales),
  m('ctr', 'CTR', 'share', 2, 'Clicks / impressions.', 'higher', (s) => ratio(s.clicks, s.impressions)),
  m('cpc', 'CPC', 'money', 2, 'Spend / clicks.', 'lower', (s) => ratio(s.spend, s.clicks)),
  m('cvr', 'Conversion', 'share', 1, 'Orders / clicks.', 'higher', (s) => ratio(s.orders, s.clicks)),
  m('acos', 'ACOS', 'share', 1, 'Spend / sales.', 'lower', (s) => ratio(s.spend, s.sales)),
  m('roas', 'ROAS', 'factor', 2, 'Sales / spend.', 'higher', (s) => ratio(s.sales, s.spend)),
  m('rpc', 'Sales per click', 'money', 2, 'Sales / clicks.', 'higher', (s) => ratio(s.sales, s.clicks)),
  m('costPerOrder', 'Cost per order', 'money', 2, 'Spend / orders.', 'lower', (s) =>
    ratio(s.spend, s.orders),
  ),
  m('orderValue', 'Order value', 'money', 2, 'Sales / orders.', 'higher', (s) => ratio(s.sales, s.orders)),
];

function m(
  key: MeasureKey,
  label: string,
  unit: MeasureUnit,
  decimals: number,
  definition: string,
  better: Measure['better'],
  of: Measure['of'],
): Measure {
  return { key, label, unit, decimals, definition, better, of };
}

/** All measures, in the order in which a specialist reads them. */
export const MEASURES: readonly Measure[] = list;

const byKey = new Map(list.map((measure) => [measure.key, measure]));

/** The measure with this key. */
export function measure(key: MeasureKey): Measure {
  return byKey.get(key)!;
}
