import type { HeadProps, RowProps, VirtualTableProps } from './tableProps';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import type { RefObject } from 'react';
import { TableHead } from './TableHead';
import { TableRow } from './TableRow';
import { gridWidth } from './column';
import type { Column } from './column';
import './table.css';

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
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [focus]);
  const items = rows.getVirtualItems();
  const first = items[0]?.index ?? 0;
  const last = items.at(-1)?.index ?? -1;
  useEffect(() => {
    onSight?.(first, last);
  }, [onSight, first, last]);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  const table = useRowProps(props, latest);
  const head = useHeadProps(props, latest);
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
        <TableHead head={head} template={template} totals={totals} />
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

/** The table's properties as they are now: what is done is always done by the newest of its handlers. */
type Latest<T> = RefObject<VirtualTableProps<T>>;

function useRowProps<T>(props: VirtualTableProps<T>, latest: Latest<T>): RowProps<T> {
  const { columns, rowAt, rowHeight, detail, hovered } = props;
  return useMemo(
    () => ({
      columns,
      rowAt,
      rowHeight,
      detail,
      hovered,
      keyAt: (index) => latest.current.keyAt(index),
      onFocus: (index) => latest.current.onFocus(index),
      onSelect: (index, range) => latest.current.onSelect(index, range),
      onOpen: (index) => latest.current.onOpen?.(index),
    }),
    [columns, rowAt, rowHeight, detail, hovered, latest],
  );
}

function useHeadProps<T>(props: VirtualTableProps<T>, latest: Latest<T>): HeadProps<T> {
  const { columns, sorts } = props;
  const [resizes, moves, order] = [!!props.onResize, !!props.onMove, JSON.stringify(sorts)];
  return useMemo(
    () => ({
      columns,
      sorts,
      onSort: (key, isAlso) => latest.current.onSort(key, isAlso),
      onResize: resizes ? (key, width) => latest.current.onResize?.(key, width) : undefined,
      onMove: moves ? (key, over) => latest.current.onMove?.(key, over) : undefined,
    }),
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- the same order is the same list
    [columns, order, resizes, moves, latest],
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
