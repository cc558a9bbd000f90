import type { Area, CutLinePoints } from '../../charts';
import type { LoadedReview } from './worker/types';

/** The rows as points of the cut line. Rows without clicks have no cost per click and are not drawn. */
export function pointsOf(rows: Int32Array, { table, estimates }: LoadedReview): CutLinePoints {
  const clicked = rows.filter((row) => table.clicks[row] > 0);
  const column = (values: ArrayLike<number>) => Float64Array.from(clicked, (row) => values[row]);
  return {
    rows: clicked,
    rpc: column(estimates.rpc),
    low: column(estimates.low),
    high: column(estimates.high),
    cpc: Float64Array.from(clicked, (row) => table.spend[row] / table.clicks[row]),
    spend: column(table.spend),
    isThin: Uint8Array.from(clicked, (row) => (estimates.grade[row] === 0 ? 1 : 0)),
  };
}

/** The rows whose point lies in an area. */
export function rowsInArea(
  rows: Int32Array,
  { table, estimates }: LoadedReview,
  { rpc, cpc }: Area,
): Int32Array {
  return rows.filter((row) => {
    const cost = table.spend[row] / table.clicks[row];
    return (
      table.clicks[row] > 0 &&
      estimates.rpc[row] >= rpc[0] &&
      estimates.rpc[row] <= rpc[1] &&
      cost >= cpc[0] &&
      cost <= cpc[1]
    );
  });
}

/** An area around a row's point (the first point's when it has none), for a brush that starts from the keyboard. */
export function areaAround({ rows, rpc, cpc }: CutLinePoints, row: number | null): Area | null {
  if (rows.length === 0) return null;
  const at = row === null ? 0 : Math.max(0, rows.indexOf(row));
  const around = (value: number): [number, number] => [value / 1.5, value * 1.5];
  return { rpc: around(rpc[at]), cpc: around(cpc[at]) };
}
