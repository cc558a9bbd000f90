import type { Micros } from '../units';
import { ratio } from './measures';
import type { Measure } from './measures';
import type { Sums } from './sums';

/** Sums of ads beside those of the whole business. */
export interface BusinessSums extends Sums {
  /** All sales, with ads or without; null where they are not known. */
  totalSales: Micros | null;
  /** Margin before ads as a share of the price; null where costs are not known. */
  margin: number | null;
}

export type BusinessMeasureKey = 'totalSales' | 'organicSales' | 'tacos' | 'profit';

/** A measure that needs more than the sums of ads. */
export type BusinessMeasure = Omit<Measure, 'key' | 'of'> & {
  key: BusinessMeasureKey;
  of: (sums: BusinessSums) => number | null;
};

/** Measures of the whole business, as data like those of ads. An unknown part makes the whole unknown. */
export const BUSINESS_MEASURES: readonly BusinessMeasure[] = [
  {
    key: 'totalSales',
    label: 'Total sales',
    unit: 'money',
    decimals: 2,
    definition: 'All sales, with ads or without, on the day of purchase.',
    better: 'higher',
    of: ({ totalSales }) => totalSales,
  },
  {
    key: 'organicSales',
    label: 'Organic sales',
    unit: 'money',
    decimals: 2,
    definition:
      'Total sales − ad sales. A dash where ads are credited with more than was sold in all: orders of other products that followed their clicks count as ad sales.',
    better: 'higher',
    of: ({ totalSales, sales }) => (totalSales === null || totalSales < sales ? null : totalSales - sales),
  },
  {
    key: 'tacos',
    label: 'TACOS',
    unit: 'share',
    decimals: 1,
    definition: 'Spend / total sales.',
    better: 'lower',
    of: ({ totalSales, spend }) => (totalSales === null ? null : ratio(spend, totalSales)),
  },
  {
    key: 'profit',
    label: 'Profit',
    unit: 'money',
    decimals: 2,
    definition: 'Margin × ad sales − spend: what ads leave.',
    better: 'higher',
    of: ({ margin, sales, spend }) => (margin === null ? null : margin * sales - spend),
  },
];

const byKey = new Map(BUSINESS_MEASURES.map((one) => [one.key, one]));

/** The measure with this key. */
export function businessMeasure(key: BusinessMeasureKey): BusinessMeasure {
  return byKey.get(key)!;
}
