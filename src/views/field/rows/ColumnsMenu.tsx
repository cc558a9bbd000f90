import Box from '@mui/material/Box';
import DragIndicator from '@mui/icons-material/DragIndicator';
import PushPin from '@mui/icons-material/PushPin';
import PushPinOutlined from '@mui/icons-material/PushPinOutlined';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Popover from '@mui/material/Popover';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Column, ColumnsState } from '../../../table';
import { Check } from '../../shared/kit';

interface ColumnsMenuProps {
  isOpen: boolean;
  anchor: () => HTMLElement;
  onClose: () => void;
  all: Column<number>[];
  columns: ColumnsState;
  onReset: () => void;
}

/** Which columns are shown, in what order, and which stay at the left: by drag, or by keys on the handle. */
export function ColumnsMenu({ isOpen, anchor, onClose, all, columns, onReset }: ColumnsMenuProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const shown = columns.columns.map(({ key }) => all.find((one) => one.key === key)!);
  const hidden = all.filter(({ key }) => !columns.isShown(key));
  return (
    <Popover
      open={isOpen}
      onClose={onClose}
      anchorEl={anchor}
      transitionDuration={0}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
    >
      <Box sx={{ padding: '10px 14px', width: 330 }} role="group" aria-label="Columns">
        <div className="spread">
          <strong>Columns</strong>
          <Button onClick={onReset}>Reset</Button>
        </div>
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          accessibility={{ container: document.body }}
          onDragEnd={({ active, over }) =>
            over && over.id !== active.id && columns.move(String(active.id), String(over.id))
          }
        >
          <SortableContext items={shown.map(({ key }) => key)} strategy={verticalListSortingStrategy}>
            {shown.map((column) => (
              <ShownColumn key={column.key} column={column} columns={columns} />
            ))}
          </SortableContext>
        </DndContext>
        <p className="note">Not shown</p>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '2px 10px' }}>
          {hidden.map(({ key, label, definition }) => (
            <Check key={key} title={definition} isOn={false} onChange={() => columns.toggle(key)}>
              {label || 'Standing'}
            </Check>
          ))}
        </Box>
      </Box>
    </Popover>
  );
}

function ShownColumn({ column, columns }: { column: Column<number>; columns: ColumnsState }) {
  const drag = useSortable({ id: column.key });
  const { key, definition } = column;
  const label = column.label || 'Standing';
  const isPinned = columns.isPinned(key);
  return (
    <div
      ref={drag.setNodeRef}
      className="bar"
      style={{
        transform: CSS.Translate.toString(drag.transform),
        transition: drag.transition,
      }}
    >
      <IconButton
        aria-label={`Move ${label}`}
        title="Drag, or Space and the arrow keys"
        sx={{ padding: 0, cursor: 'grab' }}
        {...drag.attributes}
        {...drag.listeners}
      >
        <DragIndicator fontSize="small" />
      </IconButton>
      <span className="room">
        <Check title={definition} isOn onChange={() => columns.toggle(key)}>
          {label}
        </Check>
      </span>
      <IconButton
        aria-label={isPinned ? `Let ${label} scroll` : `Keep ${label} at the left`}
        aria-pressed={isPinned}
        sx={{ padding: 0 }}
        onClick={() => columns.togglePin(key)}
      >
        {isPinned ? <PushPin fontSize="small" /> : <PushPinOutlined fontSize="small" />}
      </IconButton>
    </div>
  );
}
