import type { FieldSumsAnswer } from '../../contract/api';
import { arrangeRows } from '../../core/conditions';
import type { Stack } from '../../core/conditions';
import { buildLens, knownTerms } from '../../core/lenses';
import type { LensName, LensTable } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import { keptLens } from './keptLens';
import { toGrainSums } from './toGrainSums';

/** The rows of a lens that meet all conditions, with their table. @param stack null: conditions that cannot be understood, met by nothing */
export function meetRows(
  lens: LensName,
  index: TreeIndex,
  sums: FieldSumsAnswer,
  stack: Stack | null,
): { table: LensTable; rows: number[] } {
  const known = knownTerms(sums.terms, sums.window.from, index.tree.lists);
  const { table, reader } = keptLens(1, buildLens(lens, index, toGrainSums(sums).grainSums, known), index);
  const all = Int32Array.from({ length: table.size }, (_, row) => row);
  return { table, rows: stack === null ? [] : Array.from(arrangeRows(reader, all, stack, [])) };
}
