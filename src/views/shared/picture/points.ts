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
  /** Points of one row, one behind another in the columns; one unless told otherwise. */
  perRow?: number;
}

/** The rows as points of the cut line. Rows without clicks have no cost per click and are not drawn. */
export function pointsOf(rows: Int32Array, source: PointSource): CutLinePoints {
  const { perRow = 1 } = source;
  const clicked = Int32Array.from(cellsOf(rows, source)).filter((cell) => source.clicks[cell] > 0);
  const column = (values: ArrayLike<number>) => Float64Array.from(clicked, (cell) => values[cell]);
  return {
    rows: perRow === 1 ? clicked : clicked.map((cell) => Math.floor(cell / perRow)),
    rpc: column(source.rpc),
    low: column(source.low),
    high: column(source.high),
    cpc: Float64Array.from(clicked, (cell) => source.spend[cell] / source.clicks[cell]),
    spend: column(source.spend),
    isThin: Uint8Array.from(clicked, (cell) => (source.grade[cell] === 0 ? 1 : 0)),
  };
}

/** The places of rows in the columns. */
function cellsOf(rows: Int32Array, { perRow = 1 }: PointSource): Int32Array {
  if (perRow === 1) return rows;
  const cells = new Int32Array(rows.length * perRow);
  rows.forEach((row, at) => {
    for (let part = 0; part < perRow; part += 1) cells[at * perRow + part] = row * perRow + part;
  });
  return cells;
}

/** The rows of which a point lies in an area. */
export function rowsInArea(rows: Int32Array, source: PointSource, { rpc, cpc }: Area): Int32Array {
  return rows.filter((row) =>
    cellsOf(Int32Array.of(row), source).some((cell) => {
      const cost = source.spend[cell] / source.clicks[cell];
      const value = source.rpc[cell];
      return (
        source.clicks[cell] > 0 && value >= rpc[0] && value <= rpc[1] && cost >= cpc[0] && cost <= cpc[1]
      );
    }),
  );
}

/** An area around a row's point (the first point's when it has none), for a brush that starts from the keyboard. */
export function areaAround({ rows, rpc, cpc }: CutLinePoints, row: number | null): Area | null {
  if (rows.length === 0) return null;
  const at = row === null ? 0 : Math.max(0, rows.indexOf(row));
  const around = (value: number): [number, number] => [value / 1.5, value * 1.5];
  return { rpc: around(rpc[at]), cpc: around(cpc[at]) };
}
