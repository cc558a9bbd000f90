import ButtonBase from '@mui/material/ButtonBase';
import Tooltip from '@mui/material/Tooltip';
import { DndContext, PointerSensor, closestCenter, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { SortableContext, horizontalListSortingStrategy, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { memo } from 'react';
import type { ReactNode } from 'react';
import { pinned } from './column';
import type { Column, Sort } from './column';
import { Grip } from './Grip';
import type { HeadProps, VirtualTableProps } from './tableProps';

/** Narrower no column gets, px. */
const LEAST = 40;

interface TableHeadProps<T> {
  head: HeadProps<T>;
  template: string;
  totals: VirtualTableProps<T>['totals'];
}

/** Headings with their definitions, and the totals below them. */
export function TableHead<T>({ head, template, totals }: TableHeadProps<T>) {
  const { columns } = head;
  return (
    <div className="table-top" role="rowgroup">
      <Headings {...head} template={template} />
      {totals && (
        <div
          role="row"
          aria-label="Totals of the rows shown"
          className="table-totals"
          style={{ gridTemplateColumns: template }}
        >
          {columns.map((column) => (
            <div
              role="cell"
              key={column.key}
              className={`${column.isFigure ? 'figure' : 'cut'}${column.pinnedAt === undefined ? '' : ' table-pinned'}`}
              style={pinned(column)}
            >
              {totals(column.key)}
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

/** Dragged to another place, or wider, where that is allowed. They stay as they are while only rows and totals change. */
const Headings = memo(function Headings<T>(props: HeadProps<T> & { template: string }) {
  const { columns, template, onMove } = props;
  // A press becomes a drag only when the pointer moves: a plain click still sorts.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const moved = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove?.(String(active.id), String(over.id));
  };
  return (
    <div role="row" className="table-head" style={{ gridTemplateColumns: template }}>
      {onMove ? (
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={moved}
          // What is said aloud of a drag must not stand among the headings.
          accessibility={{ container: document.body }}
        >
          <SortableContext items={columns.map(({ key }) => key)} strategy={horizontalListSortingStrategy}>
            {columns.map((column) => (
              <MovableHeading key={column.key} column={column} {...props} />
            ))}
          </SortableContext>
        </DndContext>
      ) : (
        columns.map((column) => <Heading key={column.key} column={column} {...props} />)
      )}
    </div>
  );
}) as <T>(props: HeadProps<T> & { template: string }) => ReactNode;

type HeadingProps<T> = Pick<HeadProps<T>, 'sorts' | 'onSort' | 'onResize'> & {
  column: Column<T>;
  drag?: ReturnType<typeof useSortable>;
};

function MovableHeading<T>(props: HeadingProps<T>) {
  return <Heading {...props} drag={useSortable({ id: props.column.key })} />;
}

function Heading<T>({ column, sorts, onSort, onResize, drag }: HeadingProps<T>) {
  const at = sorts.findIndex(({ by }) => by === column.key);
  const sort = sorts[at] as Sort | undefined;
  const content = (
    <>
      {column.label}
      {column.unit && <span className="table-unit"> {column.unit}</span>}
      {sort && (sort.descending ? ' ↓' : ' ↑')}
      {sort && sorts.length > 1 && <sup>{at + 1}</sup>}
    </>
  );
  const heading = (
    <div
      ref={drag?.setNodeRef}
      role="columnheader"
      aria-sort={sort && (sort.descending ? 'descending' : 'ascending')}
      className={`table-heading${column.isFigure ? ' figure' : ''}${column.pinnedAt === undefined ? '' : ' table-pinned'}`}
      style={{
        ...pinned(column),
        ...(drag && { transform: CSS.Translate.toString(drag.transform), transition: drag.transition }),
      }}
      {...drag?.listeners}
    >
      {column.sortable ? (
        <ButtonBase onClick={(event) => onSort(column.key, event.shiftKey)}>{content}</ButtonBase>
      ) : (
        <span>{content}</span>
      )}
      {onResize && typeof column.width === 'number' && (
        <Grip
          label={`Width of ${column.label || column.key}`}
          size={column.width}
          least={LEAST}
          onSize={(width) => onResize(column.key, width)}
        />
      )}
    </div>
  );
  if (!column.definition) return heading;
  return (
    <Tooltip
      describeChild
      disableInteractive
      enterDelay={400}
      title={
        <>
          {column.label && <strong>{column.label}. </strong>}
          {column.definition}
        </>
      }
    >
      {heading}
    </Tooltip>
  );
}
