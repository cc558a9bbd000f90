import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { Measured, WeekGrid } from '../../../charts';
import { DAY_NAMES, MOST_RAISE, OFF, percentWords, PLAIN_WEEK } from '../../../core/schedules';
import type { Week } from '../../../core/schedules';
import { percentText, weekPicture } from '../../shared/hours/weekPicture';
import { NumberField } from '../../shared/kit';
import { changed, copiedDay, isChosen, moved, paint, pastedDay, takenBack } from './weekEdit';
import type { WeekEdit } from './weekEdit';

interface WeekEditorProps {
  edit: WeekEdit;
  onEdit: (next: WeekEdit) => void;
  /** Whether bids can only be raised. */
  raisesOnly: boolean;
  /** What the hours propose, to begin from. */
  proposed: Week | null;
}

const STEP = 5;

/** A week on the grid: hours are painted by dragging, or chosen and set by keys. */
export function WeekEditor({ edit, onEdit, raisesOnly, proposed }: WeekEditorProps) {
  const [brush, setBrush] = useState(raisesOnly ? 10 : -10);
  const drag = useRef<{ isPainting: boolean } | null>(null);
  const least = raisesOnly ? 0 : OFF;
  const set = (to: (percent: number) => number) => onEdit(paint(edit, (one) => Math.max(least, to(one))));
  const keys: Record<string, (isMore: boolean) => void> = {
    arrowup: (isMore) => onEdit(moved(edit, -1, 0, isMore)),
    arrowdown: (isMore) => onEdit(moved(edit, 1, 0, isMore)),
    arrowleft: (isMore) => onEdit(moved(edit, 0, -1, isMore)),
    arrowright: (isMore) => onEdit(moved(edit, 0, 1, isMore)),
    '+': () => set((one) => one + STEP),
    '-': () => set((one) => one - STEP),
    ' ': () => set(() => brush),
    0: () => set(() => 0),
    o: () => !raisesOnly && set(() => OFF),
    c: () => onEdit(copiedDay(edit)),
    v: () => onEdit(pastedDay(edit)),
    z: () => onEdit(takenBack(edit)),
    w: () => onEdit({ ...edit, anchor: 0, head: PLAIN_WEEK.length - 1 }),
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const act = keys[event.key.toLowerCase()];
    if (!act || event.altKey || ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() !== 'z')) return;
    event.preventDefault();
    event.stopPropagation();
    act(event.shiftKey);
  };
  const head = edit.week[edit.head];
  return (
    <>
      <div className="bar">
        <NumberField
          label="Brush"
          value={brush}
          min={least}
          max={MOST_RAISE}
          step={STEP}
          unit="%"
          title="Dragging over hours sets them to this; −100 is off"
          onChange={setBrush}
        />
        {!raisesOnly && <Button onClick={() => setBrush(OFF)}>Off</Button>}
        <Button onClick={() => setBrush(0)}>As is</Button>
        <span className="room" />
        {proposed && <Button onClick={() => onEdit(changed(edit, proposed))}>What the hours propose</Button>}
        <Button onClick={() => onEdit(changed(edit, PLAIN_WEEK))}>Clear</Button>
        <Button disabled={edit.before.length === 0} onClick={() => onEdit(takenBack(edit))}>
          Back
        </Button>
      </div>
      <div
        tabIndex={0}
        role="application"
        aria-roledescription="week of percentages"
        aria-label={`Week, ${DAY_NAMES[Math.floor(edit.head / 24)]} ${edit.head % 24} h: ${percentWords(head)}`}
        className="weekEditor"
        onKeyDown={onKeyDown}
      >
        <Measured>
          {(width) => (
            <WeekGrid
              caption="Bids by weekday and hour, per cent"
              cells={weekPicture(edit.week)}
              dayNames={DAY_NAMES}
              width={width}
              painting={{
                isChosen: (cell) => isChosen(edit, cell),
                onStart: (cell, isMore) => {
                  drag.current = { isPainting: !isMore };
                  onEdit({ ...edit, anchor: isMore ? edit.anchor : cell, head: cell });
                },
                onOver: (cell) => drag.current && onEdit({ ...edit, head: cell }),
                onEnd: () => {
                  if (drag.current?.isPainting) set(() => brush);
                  drag.current = null;
                },
              }}
            />
          )}
        </Measured>
      </div>
      <p className="note">
        Drag to paint, shift and drag to choose alone. Keys: arrows, shift to choose more, w the whole week;
        space paints {percentText(brush) || 'as is'}, + − by {STEP}, 0 as is{!raisesOnly && ', o off'}; c
        copies a day, v lays it on those chosen, z takes back.
      </p>
    </>
  );
}
