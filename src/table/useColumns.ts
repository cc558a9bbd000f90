import {
  columnOrderingFeature,
  columnPinningFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useMemo } from 'react';
import type { Column } from './column';

/** How the columns of a table are set: which are shown in what order, how wide, and which stay at the left. */
export interface ColumnState {
  shown: string[];
  widths: Record<string, number>;
  pinned: string[];
}

const features = tableFeatures({
  columnOrderingFeature,
  columnPinningFeature,
  columnSizingFeature,
  columnVisibilityFeature,
});
const NO_ROWS: object[] = [];
const GAP = 8;

/**
 * The columns of a table as they are set, and how they are set otherwise. The rows of our tables are columns of numbers
 * that a worker filters and sorts, so the table model here holds columns alone.
 */
export function useColumns<T>(all: Column<T>[], state: ColumnState, onState: (state: ColumnState) => void) {
  const keys = all.map(({ key }) => key).join(' ');
  const model = useMemo(
    () => all.map(({ key, width }) => ({ id: key, size: typeof width === 'number' ? width : undefined })),
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- the same keys are the same columns; their cells do not matter here
    [keys],
  );
  const known = useMemo(() => new Set(model.map(({ id }) => id)), [model]);
  const shown = useMemo(() => state.shown.filter((key) => known.has(key)), [state.shown, known]);
  const table = useTable({
    features,
    columns: model as never,
    data: NO_ROWS,
    state: {
      columnOrder: shown,
      columnVisibility: Object.fromEntries(model.map(({ id }) => [id, shown.includes(id)])),
      columnSizing: state.widths,
      columnPinning: { start: state.pinned.filter((key) => shown.includes(key)), end: [] },
    },
  });
  const order = [table.getStartVisibleLeafColumns(), table.getCenterVisibleLeafColumns()].map((list) =>
    list.map(({ id }) => ({ id, width: table.getColumn(id)!.getSize() })),
  );
  const setting = JSON.stringify(order);
  const columns = useMemo(() => laidOut(all, JSON.parse(setting) as typeof order), [all, setting]);
  return {
    columns,
    isShown: (key: string) => shown.includes(key),
    isPinned: (key: string) => state.pinned.includes(key),
    toggle: (key: string) =>
      onState({
        ...state,
        shown: shown.includes(key) ? shown.filter((one) => one !== key) : [...shown, key],
      }),
    togglePin: (key: string) =>
      onState({
        ...state,
        pinned: state.pinned.includes(key)
          ? state.pinned.filter((one) => one !== key)
          : [...state.pinned, key],
      }),
    resize: (key: string, width: number) => onState({ ...state, widths: { ...state.widths, [key]: width } }),
    /** Puts a column to the place of another one. */
    move: (key: string, over: string) => {
      const rest = shown.filter((one) => one !== key);
      const isRight = shown.indexOf(key) < shown.indexOf(over);
      rest.splice(rest.indexOf(over) + (isRight ? 1 : 0), 0, key);
      onState({ ...state, shown: rest });
    },
  };
}

/** The columns in their order with their widths; those that stay at the left know where. */
function laidOut<T>(all: Column<T>[], [start, center]: { id: string; width: number }[][]): Column<T>[] {
  const byKey = new Map(all.map((column) => [column.key, column]));
  let at = 0;
  const pinned = start.map(({ id, width }) => {
    const column = { ...byKey.get(id)!, width, pinnedAt: at };
    // What stands behind it counts on its width.
    if (id !== start.at(-1)!.id) column.grows = undefined;
    at += width + GAP;
    return column;
  });
  return [...pinned, ...center.map(({ id, width }) => ({ ...byKey.get(id)!, width }))];
}

export type ColumnsState = ReturnType<typeof useColumns>;
