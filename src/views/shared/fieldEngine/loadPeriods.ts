import type { LensTable, PeriodStep, RowPeriods } from '../../../core/lenses';
import { SUM_KEYS } from '../../../core/measures';
import type { Window } from '../../../core/windows';
import { api } from '../api';
import { idsOf } from '../rowRequest';

/** So many rows are asked for at once. */
const ROWS_AT_ONCE = 40_000;

/** What rows of a lens came to by week or month in a window. */
export async function loadPeriods(
  account: number,
  table: LensTable,
  rows: Int32Array,
  { from, to }: Window,
  steps: PeriodStep[],
): Promise<RowPeriods> {
  const row: number[] = [];
  const start: string[] = [];
  const sums = Object.fromEntries(SUM_KEYS.map((key) => [key, [] as number[]])) as Record<
    (typeof SUM_KEYS)[number],
    number[]
  >;
  for (let at = 0; at < rows.length; at += ROWS_AT_ONCE) {
    const part = rows.subarray(at, at + ROWS_AT_ONCE);
    const got = await api.periods({ account, ...idsOf(table, part), from, to, steps });
    for (let entry = 0; entry < got.n.length; entry += 1) {
      row.push(part[got.n[entry] - 1]);
      start.push(got.start[entry]);
      for (const key of SUM_KEYS) sums[key].push(got[key][entry]);
    }
  }
  return {
    window: { from, to },
    row: Int32Array.from(row),
    start,
    sums: Object.fromEntries(
      SUM_KEYS.map((key) => [key, Float64Array.from(sums[key])]),
    ) as RowPeriods['sums'],
  };
}
