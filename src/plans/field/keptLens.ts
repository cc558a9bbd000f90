import { arrangeRows } from '../../core/conditions';
import type { RowReader, SortOrder } from '../../core/conditions';
import { treeReader, rowsInScope, sumOfRows, sumStandings } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import { matchForm } from '../../core/matching';
import type { ArrangedRows } from './types';

type SetSums = Pick<ArrangedRows, 'now' | 'before' | 'standings'>;

/** A lens's table with what was worked out of it: a condition changes no order, and an order changes no sums. */
export interface KeptLens {
  loadId: number;
  table: LensTable;
  reader: RowReader;
  index: TreeIndex;
  /** All rows in an order. */
  orderBy: (sorts: readonly SortOrder[]) => Int32Array;
  /** What a set of rows comes to; `set` names it, whatever the order of its rows. */
  sumsOf: (set: string, rows: Int32Array) => SetSums;
  /** All rows with the same words or item as a row, itself too. */
  sameWords: (row: number) => number[];
}

/** So many orders are kept, the oldest let go. */
const ORDERS_KEPT = 4;

export function keptLens(loadId: number, table: LensTable, index: TreeIndex): KeptLens {
  const reader = treeReader(table, index);
  const orders = new Map<string, Int32Array>();
  let known: { set: string; sums: SetSums } | null = null;
  let byForm: Map<string, number[]> | null = null;
  return {
    loadId,
    table,
    reader,
    index,
    orderBy: (sorts) => {
      const key = JSON.stringify(sorts);
      let order = orders.get(key);
      if (!order) {
        order = arrangeRows(reader, rowsInScope(table, null), [], sorts);
        orders.set(key, order);
        if (orders.size > ORDERS_KEPT) orders.delete(orders.keys().next().value!);
      }
      return order;
    },
    sumsOf: (set, rows) => {
      if (known?.set !== set)
        known = {
          set,
          sums: {
            now: sumOfRows(table.now, rows),
            before: sumOfRows(table.before, rows),
            standings: sumStandings(table, rows),
          },
        };
      return known.sums;
    },
    sameWords: (row) => {
      byForm ??= rowsByForm(table.name);
      return byForm.get(matchForm(table.name[row])) ?? [];
    },
  };
}

/** Rows by their words as matching compares them: worked out once, when it is first asked for. */
function rowsByForm(names: string[]): Map<string, number[]> {
  const forms = new Map<string, string>();
  const rows = new Map<string, number[]>();
  names.forEach((name, row) => {
    let form = forms.get(name);
    if (form === undefined) forms.set(name, (form = matchForm(name)));
    const same = rows.get(form);
    if (same) same.push(row);
    else rows.set(form, [row]);
  });
  return rows;
}
