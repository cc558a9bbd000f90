import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { ReactNode } from 'react';
import './table.css';

/** One column of a virtual table; `T` is what a row is. */
export interface Column<T> {
  key: string;
  label: string;
  /** Unit shown small beside the label. */
  unit?: string;
  /** CSS grid width, for instance "64px" or "minmax(120px, 1fr)". */
  width: string;
  isFigure?: boolean;
  definition?: string;
  sortable?: boolean;
  cell: (row: T) => ReactNode;
}

interface VirtualTableProps<T> {
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
  sort: { by: string; descending: boolean } | null;
  onSort: (key: string) => void;
  /** Shown instead of rows when there are none. */
  empty: ReactNode;
}

/** A table of any length: only the rows in sight are in the page. */
export function VirtualTable<T>(props: VirtualTableProps<T>) {
  const { columns, count, rowHeight, focus } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  useEffect(() => {
    rows.measure();
  }, [rows, rowHeight]);
  useEffect(() => {
    if (focus >= 0 && focus < count) rows.scrollToIndex(focus);
    // Only a move of the focus scrolls; new rows under a resting focus do not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [focus]);
  const template = columns.map((column) => column.width).join(' ');
  return (
    <div role="table" aria-label={props.label} aria-rowcount={count} className="table">
      <div role="row" className="table-head" style={{ gridTemplateColumns: template }}>
        {columns.map((column) => (
          <Heading key={column.key} column={column} sort={props.sort} onSort={props.onSort} />
        ))}
      </div>
      <div ref={scroller} className="table-body" tabIndex={0} aria-label={`${props.label}: rows`}>
        {count === 0 && <div className="table-empty">{props.empty}</div>}
        <div style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {rows.getVirtualItems().map((item) => (
            <Row
              key={props.keyAt(item.index)}
              index={item.index}
              top={item.start}
              template={template}
              {...props}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

function Heading<T>({
  column,
  sort,
  onSort,
}: {
  column: Column<T>;
  sort: VirtualTableProps<T>['sort'];
  onSort: (key: string) => void;
}) {
  const isSorted = sort?.by === column.key;
  const content = (
    <>
      {column.label}
      {column.unit && <span className="table-unit"> {column.unit}</span>}
      {isSorted && (sort.descending ? ' ↓' : ' ↑')}
    </>
  );
  const order = isSorted ? (sort.descending ? 'descending' : 'ascending') : undefined;
  return (
    <div
      role="columnheader"
      aria-sort={order}
      title={column.definition}
      className={column.isFigure ? 'figure' : 'cut'}
    >
      {column.sortable ? (
        <button type="button" onClick={() => onSort(column.key)}>
          {content}
        </button>
      ) : (
        content
      )}
    </div>
  );
}

function Row<T>({
  index,
  top,
  template,
  ...props
}: VirtualTableProps<T> & { index: number; top: number; template: string }) {
  const row = props.rowAt(index);
  const isSelected = props.isSelected(index);
  return (
    <div
      role="row"
      aria-rowindex={index + 1}
      aria-selected={isSelected}
      data-focused={index === props.focus || undefined}
      className="table-row"
      style={{ transform: `translateY(${top}px)`, height: props.rowHeight }}
      onMouseDown={(event) => {
        if ((event.target as HTMLElement).closest('button, input, select, a')) return;
        if (event.shiftKey || event.ctrlKey || event.metaKey) {
          event.preventDefault();
          props.onSelect(index, event.shiftKey);
        } else props.onFocus(index);
      }}
    >
      <div className="table-cells" style={{ gridTemplateColumns: template }}>
        {props.columns.map((column) => (
          <div role="cell" key={column.key} className={column.isFigure ? 'figure' : 'cut'}>
            {column.cell(row)}
          </div>
        ))}
      </div>
      {props.detail && <div className="table-detail cut">{props.detail(row)}</div>}
    </div>
  );
}
