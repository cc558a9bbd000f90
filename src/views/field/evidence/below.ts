import { lensNamed } from '../../../core/lenses';
import type { LensName, LensScope, LensTable } from '../../../core/lenses';

/** What lies below a row: the lenses that are worth looking through inside it, the usual one first. */
export function belowOf(table: LensTable, row: number): { lens: LensName; scope: LensScope }[] {
  const { scope: kind, id: column, lenses } = lensNamed(table.lens).below;
  const id = table[column][row];
  return id === 0 ? [] : lenses.map((lens) => ({ lens, scope: { kind, id } }));
}
