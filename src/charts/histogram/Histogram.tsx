import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import { useSize } from '../useSize';

export interface HistogramBar {
  x0: number;
  x1: number;
  count: number;
}

interface HistogramProps {
  bars: HistogramBar[];
  median: number | null;
  /** Values in words. */
  show: (value: number) => string;
  label: string;
  /** What is said below: rows without a value, rows beyond. */
  note: string;
  /** A bar was chosen: rows with values from x0 to x1. */
  onPick: (x0: number, x1: number) => void;
}

const MARGIN = { top: 18, right: 16, bottom: 34, left: 48 };

/** How one measure is spread over rows; a bar can be chosen. */
export function Histogram({ bars, median, show, label, note, onPick }: HistogramProps) {
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const x = scaleLinear(
    [bars[0]?.x0 ?? 0, bars.at(-1)?.x1 ?? 1],
    [MARGIN.left, Math.max(MARGIN.left + 1, width - MARGIN.right)],
  );
  const y = scaleLinear([0, max(bars, ({ count }) => count) || 1], [height - MARGIN.bottom, MARGIN.top]).nice(
    3,
  );
  return (
    <div ref={frame} style={{ height: '100%', position: 'relative' }} role="group" aria-label={label}>
      {width > 0 && bars.length > 0 && (
        <svg width={width} height={height} fontSize={11} fill="var(--faint)">
          {y.ticks(3).map((tick) => (
            <g key={tick}>
              <line
                x1={MARGIN.left}
                x2={width - MARGIN.right}
                y1={y(tick)}
                y2={y(tick)}
                stroke="var(--hairline)"
              />
              <text x={MARGIN.left - 8} y={y(tick) + 4} textAnchor="end">
                {tick}
              </text>
            </g>
          ))}
          {bars.map(({ x0, x1, count }) => (
            <g
              key={x0}
              role="button"
              tabIndex={count > 0 ? 0 : undefined}
              aria-label={`${count} rows from ${show(x0)} to ${show(x1)}`}
              style={{ cursor: 'pointer' }}
              onClick={() => onPick(x0, x1)}
              onKeyDown={(event) => event.key === 'Enter' && onPick(x0, x1)}
            >
              <title>{`${count} rows from ${show(x0)} to ${show(x1)}`}</title>
              <rect
                x={x(x0)}
                width={Math.max(1, x(x1) - x(x0) - 1)}
                y={MARGIN.top}
                height={height - MARGIN.bottom - MARGIN.top}
                fill="transparent"
              />
              <rect
                x={x(x0)}
                width={Math.max(1, x(x1) - x(x0) - 1)}
                y={y(count)}
                height={height - MARGIN.bottom - y(count)}
                fill="var(--ink)"
                opacity={0.6}
              />
            </g>
          ))}
          {x.ticks(6).map((tick) => (
            <text key={tick} x={x(tick)} y={height - MARGIN.bottom + 15} textAnchor="middle">
              {show(tick)}
            </text>
          ))}
          {median !== null && (
            <g>
              <line
                x1={x(median)}
                x2={x(median)}
                y1={MARGIN.top - 6}
                y2={height - MARGIN.bottom}
                stroke="var(--accent)"
                strokeDasharray="4 3"
              />
              <text x={x(median) + 5} y={MARGIN.top - 4} fill="var(--ink)">
                median {show(median)}
              </text>
            </g>
          )}
          <text x={width - MARGIN.right} y={height - 3} textAnchor="end">
            {note}
          </text>
        </svg>
      )}
    </div>
  );
}
