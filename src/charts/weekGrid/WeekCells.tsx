import type { ScaleBand } from 'd3-scale';
import { useId } from 'react';
import type { GridCell } from './types';

/** Choosing and painting hours with the pointer. */
export interface Painting {
  isChosen: (cell: number) => boolean;
  onStart: (cell: number, isMore: boolean) => void;
  onOver: (cell: number) => void;
  onEnd: () => void;
}

interface WeekCellsProps {
  cells: readonly GridCell[];
  dayNames: readonly string[];
  x: ScaleBand<number>;
  y: ScaleBand<number>;
  top: number;
  left: number;
  /** Whether hours are wide enough for their figures. */
  hasFigures: boolean;
  painting?: Painting;
}

const HOURS = 24;

/** The cells of a week with their hours above and weekdays before them. */
export function WeekCells({ cells, dayNames, x, y, top, left, hasFigures, painting }: WeekCellsProps) {
  const hatch = useId();
  return (
    <>
      <defs>
        <pattern id={hatch} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={5} stroke="var(--hairline)" strokeWidth={2} />
        </pattern>
      </defs>
      {Array.from({ length: HOURS }, (_, hour) =>
        hasFigures || hour % 3 === 0 ? (
          <text
            key={hour}
            x={x(hour)! + x.bandwidth() / 2}
            y={top - 6}
            textAnchor="middle"
            fontSize={10.5}
            fill="var(--faint)"
          >
            {hour}
          </text>
        ) : null,
      )}
      {dayNames.map((name, day) => (
        <text
          key={name}
          x={left - 8}
          y={y(day)! + y.bandwidth() / 2 + 4}
          textAnchor="end"
          fontSize={12}
          fill="var(--ink)"
        >
          {name}
        </text>
      ))}
      {cells.map((cell, at) => {
        const [day, hour] = [Math.floor(at / HOURS), at % HOURS];
        return (
          <g
            key={at}
            transform={`translate(${x(hour)},${y(day)})`}
            data-cell={painting ? at : undefined}
            onPointerDown={
              painting &&
              ((event) => {
                event.currentTarget.releasePointerCapture(event.pointerId);
                painting.onStart(at, event.shiftKey);
              })
            }
            onPointerEnter={painting && (() => painting.onOver(at))}
          >
            <title>{`${dayNames[day]} ${hour}–${hour + 1} h: ${cell.text || 'as is'}${cell.isSure ? '' : ', not surely so'}`}</title>
            <rect
              width={x.bandwidth()}
              height={y.bandwidth()}
              fill={cell.isSure ? (cell.tone >= 0 ? 'var(--under)' : 'var(--over)') : `url(#${hatch})`}
              fillOpacity={
                cell.isSure ? (cell.tone === 0 ? 0.04 : 0.12 + 0.5 * Math.min(1, Math.abs(cell.tone))) : 1
              }
              stroke={painting?.isChosen(at) ? 'var(--ink)' : 'var(--hairline)'}
              strokeWidth={painting?.isChosen(at) ? 2 : 0.5}
            />
            {hasFigures && (
              <text
                x={x.bandwidth() / 2}
                y={y.bandwidth() / 2 + 4}
                textAnchor="middle"
                fontSize={10.5}
                fill={cell.isSure ? 'var(--ink)' : 'var(--faint)'}
                pointerEvents="none"
              >
                {cell.text}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}
