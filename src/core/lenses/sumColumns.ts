import type { Sums } from '../measures';

const KEYS = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;
export const SUM_KEYS: readonly (keyof Sums)[] = KEYS;

/** Sums of many rows as columns. Money in micros. */
export type SumColumns = Record<keyof Sums, Float64Array>;

/** Columns of so many rows, all zero. */
export function noSumColumns(size: number): SumColumns {
  return Object.fromEntries(KEYS.map((key) => [key, new Float64Array(size)])) as SumColumns;
}

/** The sums of one row. */
export function sumsAt(columns: SumColumns, row: number): Sums {
  return {
    impressions: columns.impressions[row],
    clicks: columns.clicks[row],
    spend: columns.spend[row],
    orders: columns.orders[row],
    units: columns.units[row],
    sales: columns.sales[row],
  };
}

/** The sums of some rows together. */
export function sumOfRows(columns: SumColumns, rows: ArrayLike<number>): Sums {
  const total: Sums = { impressions: 0, clicks: 0, spend: 0, orders: 0, units: 0, sales: 0 };
  for (const key of KEYS) {
    const column = columns[key];
    let sum = 0;
    for (let at = 0; at < rows.length; at += 1) sum += column[rows[at]];
    total[key] = sum;
  }
  return total;
}

/** Adds row `from` of some columns to row `to` of others. */
export function addAt(into: SumColumns, to: number, columns: SumColumns, from: number): void {
  for (const key of KEYS) into[key][to] += columns[key][from];
}
