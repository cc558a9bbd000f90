import type { FieldSumsAnswer } from '../../contract/api';
import type { Stack } from '../../core/conditions';
import { lensNamed } from '../../core/lenses';
import type { IdColumn, LensEntity, LensName } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import { meetRows } from './meetRows';

/** The id of a place that a row of a lens holds all of. */
const HELD_BY: Partial<Record<LensEntity, IdColumn>> = {
  'ad-group': 'adGroupId',
  campaign: 'campaignId',
  product: 'productId',
};

/** What lies in the rows of a lens: all of some places by their ids, or single things, as "kind id"; a term's id is "adGroupId:termId". */
export type Held = { column: IdColumn; ids: number[] } | { column: null; own: string[] };

/** What lies in the rows of a lens that meet all conditions. */
export function heldBy(lens: LensName, index: TreeIndex, sums: FieldSumsAnswer, stack: Stack | null): Held {
  const { entity } = lensNamed(lens);
  const { table, rows } = meetRows(lens, index, sums, stack);
  const column = HELD_BY[entity];
  if (column) return { column, ids: rows.map((row) => table[column][row]) };
  const own = rows.map((row) =>
    entity === 'term'
      ? `term ${table.adGroupId[row]}:${table.part[row]}`
      : `${entity} ${table.targetId[row]}`,
  );
  return { column: null, own };
}
