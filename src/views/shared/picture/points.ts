import type { Area, CutLinePoints } from '../../../charts';

/** Columns that the cut line is drawn from, by row. Money in micros. */
export interface PointSource {
  clicks: ArrayLike<number>;
  spend: ArrayLike<number>;
  /** Estimated sales per click with its 80 % interval. */
  rpc: ArrayLike<number>;
  low: ArrayLike<number>;
  high: ArrayLike<number>;
  /** 0: thin evidence. */
  grade: ArrayLike<number>;
}

/** The rows as points of the cut line. Rows without clicks have no cost per click and are not drawn. */
export function pointsOf(rows: Int32Array, source: PointSource): CutLinePoints {
  const clicked = rows.filter((row) => source.clicks[row] > 0);
  const column = (values: ArrayLike<number>) => Float64Array.from(clicked, (row) => values[row]);
  return {
    rows: clicked,
    rpc: column(source.rpc),
    low: column(source.low),
    high: column(source.high),
    cpc: Float64Array.from(clicked, (row) => source.spend[row] / source.clicks[row]),
    spend: column(source.spend),
    isThin: Uint8Array.from(clicked, (row) => (source.grade[row] === 0 ? 1 : 0)),
  };
}

/** The rows whose point lies in an area. */
export function rowsInArea(rows: Int32Array, source: PointSource, { rpc, cpc }: Area): Int32Array {
  return rows.filter((row) => {
    const cost = source.spend[row] / source.clicks[row];
    const value = source.rpc[row];
    return source.clicks[row] > 0 && value >= rpc[0] && value <= rpc[1] && cost >= cpc[0] && cost <= cpc[1];
  });
}

/** An area around a row's point (the first point's when it has none), for a brush that starts from the keyboard. */
export function areaAround({ rows, rpc, cpc }: CutLinePoints, row: number | null): Area | null {
  if (rows.length === 0) return null;
  const at = row === null ? 0 : Math.max(0, rows.indexOf(row));
  const around = (value: number): [number, number] => [value / 1.5, value * 1.5];
  return { rpc: around(rpc[at]), cpc: around(cpc[at]) };
}
