import { estimateConversion, fitStrength, PRIOR_ORDERS } from '../evidence';
import type { ConversionPrior, Usual } from '../evidence';
import { sumsOfRows } from './termTable';
import type { TermTable } from './termTable';

/** Fewer rows than this say too little of how terms differ; then the usual strength holds. */
const LEAST_ROWS = 50;

/**
 * What is expected of a term before its own clicks: what the target that caught it converts at, by its own clicks and what is usual in its
 * campaign; the weight, in orders, is fitted over all terms. Linear in the rows.
 */
export function termPriors(
  table: TermTable,
  usual: (row: number) => Usual,
): (row: number) => ConversionPrior {
  const rowsOf = new Map<number, number[]>();
  for (let row = 0; row < table.size; row += 1) {
    const list = rowsOf.get(table.targetId[row]);
    if (list) list.push(row);
    else rowsOf.set(table.targetId[row], [row]);
  }
  const means = new Map<number, number>();
  for (const [target, rows] of rowsOf) {
    const { clicks, orders } = sumsOfRows(table, rows);
    const prior = { mean: usual(rows[0]).conversion, strength: PRIOR_ORDERS };
    means.set(target, estimateConversion(clicks, orders, prior).mean);
  }
  const meanOf = (row: number) => means.get(table.targetId[row])!;
  const strength =
    table.size < LEAST_ROWS
      ? PRIOR_ORDERS
      : fitStrength(
          table.clicks,
          table.orders,
          Float64Array.from({ length: table.size }, (_, row) => meanOf(row)),
        );
  return (row) => ({ mean: meanOf(row), strength });
}
