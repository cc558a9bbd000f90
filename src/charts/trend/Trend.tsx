import { useRef, useState } from 'react';
import type { PointerEvent } from 'react';
import { addDays, dayNumber, formatDay } from '../../core/units';
import { PictureTable } from '../PictureTable';
import { useSize } from '../useSize';
import { layOutTrend } from './layout';
import type { TrendSeries } from './layout';

/** Something that was changed on a day. */
export interface TrendMark {
  day: string;
  count: number;
  words: string;
}

interface TrendProps {
  from: string;
  days: number;
  series: TrendSeries[];
  marks: TrendMark[];
  /** First day of the window; days before it are drawn pale. Days after `settledTo` too: their orders are coming in. */
  windowFrom: string;
  settledTo: string;
  label: string;
  /** Told of the days that were dragged over; left out: nothing can be dragged. */
  onZoom?: (from: string, to: string) => void;
}

const MARGIN = { top: 20, right: 52, bottom: 36, left: 52 };
const DASHES = ['', '5 3', '1.5 3'];
const COLOURS = ['var(--ink)', 'var(--under)', 'var(--over)'];

/** A drag over fewer days is a click that slipped. */
const LEAST_ZOOM = 6;
/** Room for the name of a day. */
const DAY_WIDTH = 52;

/** Two or three measures day by day, each on its own scale, with marks where something was changed. */
export function Trend({ from, days, series, marks, windowFrom, settledTo, label, onZoom }: TrendProps) {
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const [hovered, setHovered] = useState<number | null>(null);
  /** Day on which a drag began. */
  const [grip, setGrip] = useState<number | null>(null);
  const { lines, x } = layOutTrend(series, days, { width, height, margin: MARGIN });
  const at = (day: string) => x(dayNumber(day) - dayNumber(from));
  const bottom = height - MARGIN.bottom;
  const named = Array.from({ length: days }, (_, day) => addDays(from, day));
  const mondays = named.filter(
    (day, index) => (dayNumber(day) + 3) % 7 === 0 && index > 1 && index < days - 2,
  );
  const each = Math.max(1, Math.ceil((mondays.length * DAY_WIDTH) / Math.max(1, width)));
  const weekly = mondays.filter((_, index) => index % each === 0);
  const dayUnder = (event: PointerEvent<HTMLElement>) => {
    const left = event.currentTarget.getBoundingClientRect().left;
    const share = (event.clientX - left - MARGIN.left) / (width - MARGIN.left - MARGIN.right);
    return Math.max(0, Math.min(days - 1, Math.round(share * (days - 1))));
  };
  const dragged = grip === null || hovered === null ? null : [grip, hovered].sort((a, b) => a - b);
  return (
    <div
      ref={frame}
      style={{ height: '100%', position: 'relative' }}
      role="group"
      aria-label={label}
      tabIndex={0}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        if (by === undefined) return;
        event.stopPropagation();
        event.preventDefault();
        setHovered(Math.max(0, Math.min(days - 1, (hovered ?? days - 1) + by)));
      }}
      onPointerDown={(event) => onZoom && setGrip(dayUnder(event))}
      onPointerUp={() => {
        if (dragged && dragged[1] - dragged[0] >= LEAST_ZOOM) onZoom?.(named[dragged[0]], named[dragged[1]]);
        setGrip(null);
      }}
      onPointerMove={(event) => setHovered(dayUnder(event))}
      onPointerLeave={() => {
        setHovered(null);
        setGrip(null);
      }}
    >
      {width > 0 && (
        <svg width={width} height={height} fontSize={11} fill="var(--faint)" aria-hidden>
          {[
            [MARGIN.left, at(windowFrom)],
            [at(settledTo), width - MARGIN.right],
          ].map(([x0, x1]) => (
            <rect
              key={x0}
              x={x0}
              width={Math.max(0, x1 - x0)}
              y={MARGIN.top}
              height={Math.max(0, bottom - MARGIN.top)}
              fill="var(--hairline)"
              opacity={0.28}
            />
          ))}
          {dragged && (
            <rect
              x={x(dragged[0])}
              width={x(dragged[1]) - x(dragged[0])}
              y={MARGIN.top}
              height={Math.max(0, bottom - MARGIN.top)}
              fill="var(--accent)"
              opacity={0.14}
            />
          )}
          {lines[0]?.ticks.map(({ at: y, text }) => (
            <g key={y}>
              <line x1={MARGIN.left} x2={width - MARGIN.right} y1={y} y2={y} stroke="var(--hairline)" />
              <text x={MARGIN.left - 8} y={y + 4} textAnchor="end">
                {text}
              </text>
            </g>
          ))}
          {lines[1]?.ticks.map(({ at: y, text }) => (
            <text key={y} x={width - MARGIN.right + 8} y={y + 4} fill={COLOURS[1]}>
              {text}
            </text>
          ))}
          {weekly.map((day) => (
            <text key={day} x={at(day)} y={bottom + 14} textAnchor="middle">
              {formatDay(day)}
            </text>
          ))}
          {marks.map(({ day, count }) => (
            <g key={day}>
              <line
                x1={at(day)}
                x2={at(day)}
                y1={MARGIN.top}
                y2={bottom}
                stroke="var(--accent)"
                strokeDasharray="2 3"
              />
              <text x={at(day)} y={MARGIN.top - 2} textAnchor="middle" fill="var(--accent)">
                ▾{count}
              </text>
            </g>
          ))}
          {lines.map(({ path, label: name }, index) => (
            <path
              key={name}
              d={path}
              fill="none"
              stroke={COLOURS[index]}
              strokeWidth={1.6}
              strokeDasharray={DASHES[index]}
            />
          ))}
          {hovered !== null &&
            lines.map(({ yAt, label: name }, index) => {
              const y = yAt(hovered);
              return y === null ? null : (
                <circle key={name} cx={x(hovered)} cy={y} r={3} fill={COLOURS[index]} />
              );
            })}
        </svg>
      )}
      <PictureTable
        caption={label}
        headings={['Day', ...series.map((one) => one.label), 'Changed']}
        rows={named.map((day, at) => [
          formatDay(day),
          ...series.map(({ values, show }) => {
            const value = values[at];
            return value == null ? '–' : show(value);
          }),
          marks.find((mark) => mark.day === day)?.words ?? '',
        ])}
      />
      <Legend
        series={series}
        hovered={hovered}
        day={hovered === null ? null : named[hovered]}
        marks={marks}
      />
    </div>
  );
}

function Legend({
  series,
  hovered,
  day,
  marks,
}: {
  series: TrendSeries[];
  hovered: number | null;
  day: string | null;
  marks: TrendMark[];
}) {
  const mark = marks.find((one) => one.day === day);
  return (
    <div aria-live="polite" className="trendLegend">
      {series.map(({ label, values, show }, index) => {
        const value = hovered === null ? null : values[hovered];
        return (
          <span key={label} style={{ color: COLOURS[index], whiteSpace: 'nowrap' }}>
            <svg width={22} height={8} aria-hidden>
              <line
                x1={0}
                x2={22}
                y1={4}
                y2={4}
                stroke={COLOURS[index]}
                strokeWidth={1.8}
                strokeDasharray={DASHES[index]}
              />
            </svg>{' '}
            {label} {value == null ? '' : show(value)}
          </span>
        );
      })}
      <span className="faint cut">
        {day === null ? 'grey: outside the window, or unsettled' : formatDay(day)}
        {mark && ` · ${mark.words}`}
      </span>
    </div>
  );
}
