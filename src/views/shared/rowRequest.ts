import { formatCount } from '../../core/units';
import { lensNamed } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import type { RowsRequest } from '../../contract/field';

/** The ids that name some rows to the server. */
export function idsOf(
  table: LensTable,
  rows: ArrayLike<number>,
): Pick<RowsRequest, 'lens' | 'ids' | 'parts'> {
  const { id, part } = lensNamed(table.lens);
  return {
    lens: table.lens,
    ids: Array.from(rows, (row) => table[id][row]),
    parts: part === null ? [] : Array.from(rows, (row) => table.part[row]),
  };
}

/** What names a row for good: "target 12", "term 12 5", "campaign 3". Notes hang on it. */
export function subjectOf(table: LensTable, row: number): string {
  const { ids, parts } = idsOf(table, [row]);
  return [lensNamed(table.lens).entity, ids[0], ...parts].join(' ');
}

/** The words for some rows: "1 keyword", "1,204 keywords". */
export function countWords(lens: LensTable['lens'], count: number): string {
  const { row, rows } = lensNamed(lens);
  return `${formatCount(count)} ${count === 1 ? row : rows}`;
}

/**
 * How many of some rows are of this window. A search term that ran in the window before alone is listed for its move, and counted nowhere;
 * other things are there whether they did anything or not.
 */
export function countSeen({ lens, now }: LensTable, rows: Int32Array): number {
  if (lensNamed(lens).entity !== 'term') return rows.length;
  let count = 0;
  for (const row of rows)
    if (now.impressions[row] > 0 || now.clicks[row] > 0 || now.orders[row] > 0) count += 1;
  return count;
}
