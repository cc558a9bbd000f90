import { scaleBand } from 'd3-scale';
import { PictureTable } from '../PictureTable';
import { WeekCells } from './WeekCells';
import { WeekMargins } from './WeekMargins';
import type { Painting } from './WeekCells';
import type { GridCell, GridMargin } from './types';

interface WeekGridProps {
  /** What it shows, in words. */
  caption: string;
  /** 168, weekday x 24 + hour. */
  cells: readonly GridCell[];
  /** Weekdays and hours alone, and where their bars begin; without, the grid has the whole width. */
  margins?: { weekdays: readonly GridMargin[]; hours: readonly GridMargin[]; base: number };
  dayNames: readonly string[];
  width: number;
  /** Hours can be chosen and painted. */
  painting?: Painting;
}

const HOURS = 24;
const LEFT = 40;
const TOP = 18;
/** Height of a weekday; less where hours are too narrow for figures. */
const [ROW, LOW_ROW] = [34, 20];
const NARROW = 480;
/** Room for the bars of weekdays at the right, and of hours below. */
const [RIGHT, BELOW, GAP] = [128, 84, 14];

/** The hours of a week as a grid, its weekdays as bars beside it and its hours as bars below; what is not sure is hatched. */
export function WeekGrid({ caption, cells, margins, dayNames, width, painting }: WeekGridProps) {
  const beside = margins ? RIGHT + GAP : 2;
  const isNarrow = width - beside - LEFT < NARROW;
  const x = scaleBand(
    Array.from({ length: HOURS }, (_, hour) => hour),
    [LEFT, margins ? Math.max(LEFT + NARROW, width - beside) : width - beside],
  ).paddingInner(0.06);
  const y = scaleBand(
    dayNames.map((_, day) => day),
    [TOP, TOP + dayNames.length * (isNarrow && !margins ? LOW_ROW : ROW)],
  ).paddingInner(0.08);
  const right = x.range()[1] + GAP;
  const bottom = y.range()[1] + GAP;
  return (
    <>
      <PictureTable
        caption={caption}
        headings={[
          '',
          ...Array.from({ length: HOURS }, (_, hour) => `${hour} h`),
          ...(margins ? ['Day'] : []),
        ]}
        rows={[
          ...dayNames.map((name, day) => [
            name,
            ...cells.slice(day * HOURS, (day + 1) * HOURS).map(({ text }) => text),
            ...(margins ? [margins.weekdays[day].text] : []),
          ]),
          ...(margins ? [['Hour', ...margins.hours.map(({ text }) => text), '']] : []),
        ]}
      />
      <svg
        width={margins ? right + RIGHT : width}
        height={margins ? bottom + BELOW : y.range()[1] + 2}
        role="img"
        aria-label={caption}
        style={painting && { touchAction: 'none', userSelect: 'none', cursor: 'cell' }}
        onPointerUp={painting?.onEnd}
        onPointerLeave={painting?.onEnd}
      >
        <WeekCells
          cells={cells}
          dayNames={dayNames}
          x={x}
          y={y}
          top={TOP}
          left={LEFT}
          hasFigures={!isNarrow || margins !== undefined}
          painting={painting}
        />
        {margins && (
          <WeekMargins {...margins} x={x} y={y} right={right} bottom={bottom} room={[RIGHT, BELOW]} />
        )}
      </svg>
    </>
  );
}
