import { normaliseTerm } from '../matching';
import { measure } from '../measures';
import type { MeasureKey } from '../measures';
import { sumsOfRow } from '../terms';
import type { TermTable } from '../terms';
import { isTextCondition } from './condition';
import type { Condition } from './condition';

/** What rows are sorted by: a measure, a text, or the usual order of a step. */
export interface SortOrder {
  by: MeasureKey | 'term' | 'place';
  descending: boolean;
}

/** Texts of a row that are not in the table itself. */
export interface RowTexts {
  /** Normalised search term. */
  term: (row: number) => string;
  /** Campaign and ad group, normalised. */
  place: (row: number) => string;
}

/**
 * The rows that meet every condition, in the given order. A row whose ratio has no value meets no condition on it
 * and stands last in either direction.
 */
export function arrangeRows(
  table: TermTable,
  rows: Int32Array,
  conditions: readonly Condition[],
  sort: SortOrder | null,
  texts: RowTexts,
): Int32Array {
  const tests = conditions.map((condition) => testOf(table, condition, texts));
  const kept = rows.filter((row) => tests.every((test) => test(row)));
  return sort === null ? kept : sorted(table, kept, sort, texts);
}

function testOf(table: TermTable, condition: Condition, texts: RowTexts): (row: number) => boolean {
  if (isTextCondition(condition)) {
    const part = normaliseTerm(condition.text);
    const textOf = condition.field === 'term' ? texts.term : texts.place;
    return (row) => textOf(row).includes(part) === (condition.op === 'holds');
  }
  const valueOf = valueReader(table, condition.field);
  // Ratios carry rounding errors of the last binary digit; a limit typed as 24 % must hold for 24 %.
  const slack = Math.abs(condition.value) * 1e-12;
  if (condition.op === 'atLeast') return (row) => (valueOf(row) ?? -Infinity) >= condition.value - slack;
  return (row) => (valueOf(row) ?? Infinity) <= condition.value + slack;
}

function valueReader(table: TermTable, key: MeasureKey): (row: number) => number | null {
  const columns = table as unknown as Record<string, Float64Array>;
  if (key in table) return (row) => columns[key][row];
  const { of } = measure(key);
  return (row) => of(sumsOfRow(table, row));
}

function sorted(table: TermTable, rows: Int32Array, sort: SortOrder, texts: RowTexts): Int32Array {
  const sign = sort.descending ? -1 : 1;
  if (sort.by === 'term' || sort.by === 'place') {
    const textOf = sort.by === 'term' ? texts.term : texts.place;
    return rows.sort((a, b) => sign * (textOf(a) < textOf(b) ? -1 : textOf(a) > textOf(b) ? 1 : 0) || a - b);
  }
  const read = valueReader(table, sort.by);
  const keys = new Float64Array(table.size);
  const last = sort.descending ? -Infinity : Infinity;
  for (const row of rows) keys[row] = read(row) ?? last;
  return rows.sort((a, b) => sign * (keys[a] - keys[b] || 0) || a - b);
}
