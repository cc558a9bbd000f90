import { normaliseTerm } from '../matching';
import { orderByNumbers, textPlaces } from '../order';
import { isChoiceCondition, isTextCondition } from './condition';
import type { AnyOf, Condition, Stack } from './condition';
import { isChoiceKey, isTextKey, numberField, shownScale } from './fields';
import type { ChoiceKey, NumberKey, TextKey } from './keys';

/** How the fields of a table's rows are read. */
export interface RowReader {
  /** How many rows the table has. */
  size: number;
  /** Null: the row has no such value (a ratio without a denominator, a bid that is not known). */
  number: (key: NumberKey) => (row: number) => number | null;
  /** Normalised. */
  text: (key: TextKey) => (row: number) => string;
  choice: (key: ChoiceKey) => (row: number) => string;
}

/** What rows are sorted by. */
export interface SortOrder {
  by: NumberKey | TextKey | ChoiceKey;
  descending: boolean;
}

/**
 * The rows that meet every group of a stack, in the given order, the first sort counting most. A row whose ratio has
 * no value meets no condition on it and stands last in either direction.
 */
export function arrangeRows(
  reader: RowReader,
  rows: Int32Array,
  stack: Stack,
  sorts: readonly SortOrder[],
): Int32Array {
  const tests = stack.map((group) => testOfAny(reader, group));
  const kept = tests.length === 0 ? rows.slice() : rows.filter((row) => tests.every((test) => test(row)));
  return sorts.length === 0 ? kept : sorted(reader, kept, sorts);
}

function testOfAny(reader: RowReader, group: AnyOf): (row: number) => boolean {
  const tests = group.map((condition) => testOf(reader, condition));
  return tests.length === 1 ? tests[0] : (row) => tests.some((test) => test(row));
}

function testOf(reader: RowReader, condition: Condition): (row: number) => boolean {
  if (isTextCondition(condition)) {
    const part = normaliseTerm(condition.text);
    const textOf = reader.text(condition.field);
    return (row) => textOf(row).includes(part) === (condition.op === 'holds');
  }
  if (isChoiceCondition(condition)) {
    const choiceOf = reader.choice(condition.field);
    return (row) => (choiceOf(row) === condition.choice) === (condition.op === 'is');
  }
  const valueOf = reader.number(condition.field);
  // Ratios carry rounding errors of the last binary digit; a limit typed as 24 % must hold for 24 %.
  const slack = Math.abs(condition.value) * 1e-12;
  const { op, value, to = value } = condition;
  if (op === 'none') return (row) => valueOf(row) === null;
  if (op === 'atLeast') return (row) => (valueOf(row) ?? -Infinity) >= value - slack;
  if (op === 'atMost') return (row) => (valueOf(row) ?? Infinity) <= value + slack;
  // Equal is what is shown as equal: half of the last digit either way.
  const near =
    op === 'equals'
      ? 0.5 * 10 ** -numberField(condition.field).decimals * shownScale(condition.field)
      : slack;
  return (row) => {
    const own = valueOf(row);
    return own !== null && own >= value - near && own <= to + near;
  };
}

/** By the last order first: each later sort keeps what the earlier ones made of equal rows. */
function sorted(reader: RowReader, rows: Int32Array, sorts: readonly SortOrder[]): Int32Array {
  return [...sorts]
    .reverse()
    .reduce((order, sort) => orderByNumbers(order, keysOf(reader, rows, sort)), rows);
}

/** What each row is ordered by, smallest first; no value stands last in either direction. */
function keysOf(reader: RowReader, rows: Int32Array, { by, descending }: SortOrder): Float64Array {
  const sign = descending ? -1 : 1;
  if (isTextKey(by) || isChoiceKey(by)) {
    const read = isTextKey(by) ? reader.text(by) : reader.choice(by);
    return textPlaces(rows, reader.size, read).map((place) => sign * place);
  }
  const read = reader.number(by);
  const keys = new Float64Array(reader.size);
  for (const row of rows) {
    const value = read(row);
    keys[row] = value === null ? Infinity : sign * value;
  }
  return keys;
}
