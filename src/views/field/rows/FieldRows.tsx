import { useCallback } from 'react';
import { lensReader } from '../../../core/lenses';
import { isNumberKey, movedMeasure, numberField } from '../../../core/conditions';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { VirtualTable } from '../../../table';
import type { ColumnsState, Hovered } from '../../../table';
import { formatIn, formatMove } from '../../shared/formatValue';
import type { RowsState } from '../../shared/useRows';
import type { FieldState } from '../useFieldState';
import { nextSorts } from '../useFieldState';
import type { ArrangedRows, LoadedLens } from '../../../plans/field';
import { NothingHere } from './NothingHere';
import { countSeen, countWords } from '../../shared/rowRequest';

interface FieldRowsProps {
  account: number;
  loaded: LoadedLens;
  arranged: ArrangedRows;
  shown: Int32Array;
  rows: RowsState;
  hovered: Hovered;
  state: FieldState;
  columns: ColumnsState;
  onSight: (rows: number[]) => void;
  onOpen: (row: number) => void;
}

/** The rows of a lens, with the totals of all that are shown above them. */
export function FieldRows(props: FieldRowsProps) {
  const { account, loaded, arranged, shown, rows, state, columns, onSight, onOpen } = props;
  const inSight = useCallback(
    (first: number, last: number) => onSight(Array.from(shown.slice(first, last + 1))),
    [onSight, shown],
  );
  const rowAt = useCallback((index: number) => shown[index], [shown]);
  return (
    <VirtualTable
      label={countLabel(state.lens)}
      columns={columns.columns as never}
      count={shown.length}
      rowAt={rowAt}
      keyAt={(index) => shown[index]}
      rowHeight={28}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(shown[index])}
      onSelect={rows.select}
      sorts={state.sorts}
      onSort={(key, isAlso) => state.setSorts(nextSorts(state.sorts, key, isAlso))}
      totals={(key) => totalOf(key, arranged, state, loaded, shown)}
      onResize={columns.resize}
      onMove={columns.move}
      hovered={props.hovered}
      onSight={inSight}
      onOpen={(index) => onOpen(shown[index])}
      empty={<NothingHere state={state} account={account} loaded={loaded} arranged={arranged} />}
    />
  );
}

const countLabel = (lens: FieldState['lens']) => {
  const words = countWords(lens, 2).replace(/^2 /, '');
  return words[0].toUpperCase() + words.slice(1);
};

/** The total of a column over the rows shown: sums, and ratios from the sums. */
function totalOf(
  key: string,
  { now, before, standings }: ArrangedRows,
  state: FieldState,
  { table, before: compared }: LoadedLens,
  shown: Int32Array,
) {
  if (key === 'name') return countWords(state.lens, countSeen(table, shown));
  if (!isNumberKey(key)) return '';
  const moved = movedMeasure(key);
  if (moved !== null) {
    const { unit, decimals, of } = measure(moved);
    const [a, b] = [of(now), of(before)];
    return formatMove(unit, !compared.isCovered || a === null || b === null ? null : a - b, decimals);
  }
  if (key === 'loss')
    return formatIn(
      'money',
      standings.reduce((sum, { loss }) => sum + loss, 0),
      2,
    );
  if (key === 'profit' || key === 'totalSales') return formatIn('money', sumOfKnown(table, shown, key), 2);
  if (NOT_ADDED.has(key)) return '';
  const { unit, decimals } = numberField(key);
  return formatIn(unit, measure(key as MeasureKey).of(now), decimals);
}

const NOT_ADDED: ReadonlySet<string> = new Set([
  'bid',
  'targetAcos',
  'vsTarget',
  'age',
  'breakEvenLoss',
  'organicSales',
  'tacos',
]);

/** Sums of one set of rows are asked for at every drawing, and worked out once. */
const sums = new WeakMap<Int32Array, Map<string, number | null>>();

/** What is known of some rows, added up: one without costs, or without all sales, adds nothing; null where none is known. */
function sumOfKnown(
  table: LoadedLens['table'],
  rows: Int32Array,
  key: 'profit' | 'totalSales',
): number | null {
  const known = sums.get(rows) ?? new Map<string, number | null>();
  sums.set(rows, known);
  if (!known.has(key)) {
    const read = lensReader(table).number(key);
    let sum: number | null = null;
    for (const row of rows) {
      const value = read(row);
      if (value !== null) sum = (sum ?? 0) + value;
    }
    known.set(key, sum);
  }
  return known.get(key)!;
}
