import type { Cell, CrossTab, Dimension } from '../../../core/lenses';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { MICROS_PER_UNIT } from '../../../core/units';

/** A cross-tab as a table for a file, with its grand totals first. Money in currency units, shares as fractions. */
export function crossAsTable(cross: CrossTab, keys: MeasureKey[], name: string, down: Dimension) {
  const show = (cell: Cell | undefined, key: MeasureKey) => {
    const { of, unit } = measure(key);
    const value = cell ? of(cell.sums) : null;
    return value === null ? null : unit === 'money' ? Number((value / MICROS_PER_UNIT).toFixed(6)) : value;
  };
  // Of several measures each has a column of its own.
  const heading = (text: string, key: MeasureKey) =>
    keys.length === 1 ? text : `${text}, ${measure(key).label}`;
  const line = (first: string, total: Cell, cells: readonly (Cell | undefined)[]) => [
    first,
    ...[total, ...cells].flatMap((cell) => keys.map((key) => show(cell, key))),
  ];
  return {
    name,
    headings: [
      `${keys.map((key) => measure(key).label).join(', ')} by ${down}`,
      ...['All', ...cross.columns.map((one) => one.name)].flatMap((text) =>
        keys.map((key) => heading(text, key)),
      ),
    ],
    rows: [
      line(
        'All',
        cross.total,
        cross.columns.map((one) => one.total),
      ),
      ...cross.rows.map((one, at) =>
        line(
          one.name,
          one.total,
          cross.columns.map((_, index) => cross.cells[at][index]),
        ),
      ),
    ],
  };
}
