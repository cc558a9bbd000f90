import { estimateConversion, fitStrength, PRIOR_ORDERS } from '../evidence';
import type { ConversionPrior, Usual } from '../evidence';
import { sumsOfRows } from './termTable';
import type { TermTable } from './termTable';

/** Fewer rows than this say too little of how terms differ; then the usual strength holds. */
const LEAST_ROWS = 50;

/**
 * What is expected of a term before its own clicks: what the target that caught it converts at with all its other terms, and what is usual in its
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
  const sums = new Map([...rowsOf].map(([target, rows]) => [target, sumsOfRows(table, rows)] as const));
  const means = new Float64Array(table.size);
  for (let row = 0; row < table.size; row += 1) {
    const { clicks, orders } = sums.get(table.targetId[row])!;
    const prior = { mean: usual(row).conversion, strength: PRIOR_ORDERS };
    // Its own clicks would count twice: as what is usual with the target, and as its own.
    means[row] = estimateConversion(clicks - table.clicks[row], orders - table.orders[row], prior).mean;
  }
  const meanOf = (row: number) => means[row];
  const strength = table.size < LEAST_ROWS ? PRIOR_ORDERS : fitStrength(table.clicks, table.orders, means);
  return (row) => ({ mean: meanOf(row), strength });
}
