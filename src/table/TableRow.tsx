import { memo, useSyncExternalStore } from 'react';
import { pinned } from './column';
import type { RowProps } from './tableProps';

interface TableRowProps<T> {
  index: number;
  top: number;
  template: string;
  isFocused: boolean;
  isSelected: boolean;
  /** The table's own properties, as one: while only the scroller moves they are the same, and rows stay as they are. */
  table: RowProps<T>;
}

const never = () => () => {};

function Row<T>({ index, top, template, isFocused, isSelected, table: props }: TableRowProps<T>) {
  const row = props.rowAt(index);
  const { hovered, keyAt } = props;
  const isHovered = useSyncExternalStore(
    hovered?.subscribe ?? never,
    () => hovered !== undefined && hovered.get() === keyAt(index),
    () => false,
  );
  return (
    <div
      role="row"
      aria-rowindex={index + 1}
      aria-selected={isSelected}
      data-focused={isFocused || undefined}
      data-hovered={isHovered || undefined}
      onPointerEnter={hovered && (() => hovered.set(keyAt(index)))}
      onPointerLeave={hovered && (() => hovered.set(null))}
      className="table-row"
      style={{ transform: `translateY(${top}px)`, height: props.rowHeight }}
      onMouseDown={(event) => {
        if ((event.target as HTMLElement).closest('button, input, select, a')) return;
        if (event.shiftKey || event.ctrlKey || event.metaKey) {
          event.preventDefault();
          props.onSelect(index, event.shiftKey);
        } else props.onFocus(index);
      }}
      onDoubleClick={() => props.onOpen?.(index)}
    >
      <div className="table-cells" style={{ gridTemplateColumns: template }}>
        {props.columns.map((column) => (
          <div
            role="cell"
            key={column.key}
            className={`${column.isFigure ? 'figure' : 'cut'}${column.pinnedAt === undefined ? '' : ' table-pinned'}`}
            style={pinned(column)}
          >
            {column.cell(row)}
          </div>
        ))}
      </div>
      {props.detail && <div className="table-detail cut">{props.detail(row)}</div>}
    </div>
  );
}

/** One row in sight: its cells, and the line below them. Scrolling makes new rows and leaves the others alone. */
export const TableRow = memo(Row) as typeof Row;
