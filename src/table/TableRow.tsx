import { pinned } from './column';
import type { VirtualTableProps } from './VirtualTable';

/** One row in sight: its cells, and the line below them. */
export function TableRow<T>({
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
