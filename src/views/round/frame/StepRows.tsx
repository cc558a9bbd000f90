import { useCallback } from 'react';
import type { ReactNode } from 'react';
import { VirtualTable } from '../../../table';
import type { Column } from '../../../table';
import type { RoundState } from '../useRoundState';
import type { StepRowsState } from '../useStepRows';
import { useRowLines } from './useRowLines';

interface StepRowsProps<T> {
  label: string;
  state: RoundState;
  view: StepRowsState;
  /** The same while rows show the same: then they are not drawn anew. The same goes for `rowAt` and `detail`. */
  columns: Column<T>[];
  rowAt: (row: number) => T;
  /** The second line of a row, where it has two: why it is proposed. */
  detail: (item: T) => ReactNode;
  empty: ReactNode;
}

/** One line of figures; or two, with the reason below. */
const ONE_LINE = 28;
const TWO_LINES = 46;

/** The rows of a step: what is proposed for each, and below it why, where two lines are wanted. */
export function StepRows<T>({ label, state, view, columns, rowAt, detail, empty }: StepRowsProps<T>) {
  const { rows, shown } = view;
  const lines = useRowLines();
  // Why a row was put aside is what one looks for there.
  const isTwo = lines.isTwo || state.show === 'aside';
  const itemAt = useCallback((index: number) => rowAt(shown[index]), [rowAt, shown]);
  return (
    <VirtualTable
      label={label}
      columns={columns}
      count={shown.length}
      rowAt={itemAt}
      keyAt={(index) => shown[index]}
      rowHeight={isTwo ? TWO_LINES : ONE_LINE}
      detail={isTwo ? detail : undefined}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(shown[index])}
      onSelect={rows.select}
      sorts={state.sort ? [state.sort] : []}
      onSort={(key) => state.setSort(nextSort(state.sort, key))}
      empty={empty}
    />
  );
}

/** A heading pressed again turns the order around, and then lets go of it. Figures begin with the largest, names with the first. */
function nextSort(sort: RoundState['sort'], key: string): RoundState['sort'] {
  const by = key as NonNullable<RoundState['sort']>['by'];
  const first = key !== 'term';
  if (sort?.by !== by) return { by, descending: first };
  return sort.descending === first ? { by, descending: !sort.descending } : null;
}
