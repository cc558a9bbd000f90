import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import type { ReactNode } from 'react';
import type { Hovered } from './hovered';
import { TableHead } from './TableHead';
import { TableRow } from './TableRow';
import { gridWidth } from './column';
import type { Column, Sort } from './column';
import './table.css';

export interface VirtualTableProps<T> {
  label: string;
  columns: Column<T>[];
  count: number;
  rowAt: (index: number) => T;
  /** Stable key of a row. */
  keyAt: (index: number) => number;
  rowHeight: number;
  /** Second line below a row's cells. */
  detail?: (row: T) => ReactNode;
  focus: number;
  onFocus: (index: number) => void;
  isSelected: (index: number) => boolean;
  onSelect: (index: number, range: boolean) => void;
  /** What the rows are ordered by, the first one first. */
  sorts: readonly Sort[];
  /** `isAlso` adds a further order instead of replacing the present one. */
  onSort: (key: string, isAlso: boolean) => void;
  /** Shown instead of rows when there are none. */
  empty: ReactNode;
  /** Totals of all rows, by column; a line below the headings. */
  totals?: (key: string) => ReactNode;
  /** Widths in pixels can be dragged, and columns moved, where these are given. */
  onResize?: (key: string, width: number) => void;
  onMove?: (key: string, over: string) => void;
  /** Told which rows are in sight. */
  onSight?: (first: number, last: number) => void;
  onOpen?: (index: number) => void;
  /** Shared with a picture of the same rows; rows are named by their keys. */
  hovered?: Hovered;
}

const HEAD = 28;
const TOTALS = 26;

/** A table of any length: only the rows in sight are in the page. */
export function VirtualTable<T>(props: VirtualTableProps<T>) {
  const { columns, count, rowHeight, focus, totals, onSight } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const headHeight = HEAD + (totals ? TOTALS : 0);
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    // The head stays in sight above the rows and takes its height from what the scroller shows of them.
    scrollPaddingEnd: headHeight,
  });
  useEffect(() => {
    rows.measure();
  }, [rows, rowHeight]);
  useEffect(() => {
    if (focus >= 0 && focus < count) rows.scrollToIndex(focus);
    // Only a move of the focus scrolls; new rows under a resting focus do not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [focus]);
  const items = rows.getVirtualItems();
  const first = items[0]?.index ?? 0;
  const last = items.at(-1)?.index ?? -1;
  useEffect(() => {
    onSight?.(first, last);
  }, [onSight, first, last]);
  const table = useRowProps(props);
  const template = columns.map(gridWidth).join(' ');
  const fixed = fixedWidth(columns);
  return (
    <div ref={scroller} className="table" tabIndex={0} role="region" aria-label={`${props.label}: rows`}>
      <div
        role="table"
        aria-label={props.label}
        aria-rowcount={count}
        className="table-sheet"
        style={fixed === null ? undefined : { minWidth: fixed }}
      >
        <TableHead {...props} template={template} />
        {count === 0 && <div className="table-empty">{props.empty}</div>}
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {items.map((item) => (
            <TableRow
              key={props.keyAt(item.index)}
              index={item.index}
              top={item.start}
              template={template}
              isFocused={item.index === focus}
              isSelected={props.isSelected(item.index)}
              table={table}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

/** What rows are drawn from; the same object as long as they would be drawn the same. */
export type RowProps<T> = Pick<
  VirtualTableProps<T>,
  'columns' | 'rowAt' | 'keyAt' | 'rowHeight' | 'detail' | 'onFocus' | 'onSelect' | 'onOpen' | 'hovered'
>;

function useRowProps<T>(props: VirtualTableProps<T>): RowProps<T> {
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  const { columns, rowAt, rowHeight, detail, hovered } = props;
  return useMemo(
    () => ({
      columns,
      rowAt,
      rowHeight,
      detail,
      hovered,
      keyAt: (index) => latest.current.keyAt(index),
      // What is done is always done by the newest of the table's handlers.
      onFocus: (index) => latest.current.onFocus(index),
      onSelect: (index, range) => latest.current.onSelect(index, range),
      onOpen: (index) => latest.current.onOpen?.(index),
    }),
    [columns, rowAt, rowHeight, detail, hovered],
  );
}

const GAP = 8;
const PADDING = 24;

/** Width of a sheet whose columns are all in pixels: it may be wider than its scroller. */
function fixedWidth<T>(columns: Column<T>[]): number | null {
  let sum = PADDING + GAP * Math.max(0, columns.length - 1);
  for (const { width } of columns) {
    if (typeof width !== 'number') return null;
    sum += width;
  }
  return sum;
}
