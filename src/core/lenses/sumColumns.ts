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

/** Adds every row of some columns to the row of others that `to` tells for it; -1: to none. */
export function addInto(into: SumColumns, to: Int32Array, columns: SumColumns): void {
  // A column at a time: a row at a time takes several times as long.
  for (const key of SUM_KEYS) {
    const [target, source] = [into[key], columns[key]];
    for (let from = 0; from < to.length; from += 1) if (to[from] >= 0) target[to[from]] += source[from];
  }
}

/** Some rows of columns, in their order. */
export function pickSums(columns: SumColumns, rows: ArrayLike<number>): SumColumns {
  const picked = noSumColumns(rows.length);
  for (const key of SUM_KEYS) {
    const [target, source] = [picked[key], columns[key]];
    for (let at = 0; at < rows.length; at += 1) target[at] = source[rows[at]];
  }
  return picked;
}
