import type { Cell, CrossTab, Dimension } from '../../../core/lenses';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { MICROS_PER_UNIT } from '../../../core/units';

/** A cross-tab as a table for a file, with its grand totals first. Money in currency units, shares as fractions. */
export function crossAsTable(cross: CrossTab, key: MeasureKey, name: string, down: Dimension) {
  const { of, unit } = measure(key);
  const show = (cell: Cell | undefined) => {
    const value = cell ? of(cell.sums) : null;
    return value === null ? null : unit === 'money' ? Number((value / MICROS_PER_UNIT).toFixed(6)) : value;
  };
  return {
    name,
    headings: [`${measure(key).label} by ${down}`, 'All', ...cross.columns.map((one) => one.name)],
    rows: [
      ['All', show(cross.total), ...cross.columns.map((one) => show(one.total))],
      ...cross.rows.map((one, at) => [
        one.name,
        show(one.total),
        ...cross.columns.map((_, index) => show(cross.cells[at][index])),
      ]),
    ],
  };
}
