import { NO_SUMS, SUM_KEYS, sumsFrom } from '../measures';
import type { Sums } from '../measures';

export { SUM_KEYS };

/** Sums of many rows as columns. Money in micros. */
export type SumColumns = Record<keyof Sums, Float64Array>;

/** Columns of so many rows, all zero. */
export function noSumColumns(size: number): SumColumns {
  return Object.fromEntries(SUM_KEYS.map((key) => [key, new Float64Array(size)])) as SumColumns;
}

/** The sums of one row. */
export const sumsAt = (columns: SumColumns, row: number): Sums => sumsFrom((key) => columns[key][row]);

/** The sums of some rows together. */
export function sumOfRows(columns: SumColumns, rows: ArrayLike<number>): Sums {
  const total: Sums = { ...NO_SUMS };
  for (const key of SUM_KEYS) {
    const column = columns[key];
    let sum = 0;
    for (let at = 0; at < rows.length; at += 1) sum += column[rows[at]];
    total[key] = sum;
  }
  return total;
}

/** Adds row `from` of some columns to row `to` of others. */
export function addAt(into: SumColumns, to: number, columns: SumColumns, from: number): void {
  for (const key of SUM_KEYS) into[key][to] += columns[key][from];
}
