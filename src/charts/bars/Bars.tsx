import { largest } from '../../core/order';
import { useRef } from 'react';
import { formatShare } from '../../core/units';
import { useSize } from '../useSize';

export interface BarItem {
  row: number;
  name: string;
  value: number;
  /** The value in words, with its unit. */
  text: string;
  /** Of the total of all rows. */
  share: number | null;
}

interface BarsProps {
  items: BarItem[];
  /** What the others come to, in words; empty when there are none. */
  rest: string;
  label: string;
  focusedRow: number | null;
  onPick: (row: number) => void;
}

const ROW = 20;
const NAME_WIDTH = 236;
const FIGURES_WIDTH = 150;
const LETTER = 6.3;

const shortened = (name: string) => {
  const most = Math.floor(NAME_WIDTH / LETTER);
  return name.length <= most ? name : `${name.slice(0, most - 1)}…`;
};

/** Rows by size, largest first, with their part of the total. */
export function Bars({ items, rest, label, focusedRow, onPick }: BarsProps) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  const most = Math.max(0, largest(items.map(({ value }) => Math.abs(value))));
  const room = Math.max(0, width - NAME_WIDTH - FIGURES_WIDTH - 40);
  const height = items.length * ROW + 24;
  return (
    <div ref={frame} role="group" aria-label={label} style={{ overflow: 'auto', height: '100%' }}>
      {width > 0 && (
        <svg width={width} height={height} fontSize={12.5} fill="var(--ink)">
          {items.map(({ row, name, value, text, share }, at) => {
            const length = most === 0 ? 0 : (Math.abs(value) / most) * room;
            const words = `${name}: ${text}${share === null ? '' : `, ${formatShare(share, 1)} of all`}`;
            return (
              <g
                key={row}
                role="button"
                tabIndex={0}
                aria-label={words}
                aria-current={row === focusedRow || undefined}
                style={{ cursor: 'pointer' }}
                onClick={() => onPick(row)}
                onKeyDown={(event) => event.key === 'Enter' && onPick(row)}
              >
                <title>{words}</title>
                <rect
                  y={at * ROW}
                  width={width}
                  height={ROW}
                  fill={row === focusedRow ? 'var(--focus)' : 'transparent'}
                />
                <text x={16} y={at * ROW + 14}>
                  {shortened(name)}
                </text>
                <rect
                  x={NAME_WIDTH + 24}
                  y={at * ROW + 5}
                  width={length}
                  height={10}
                  fill={value < 0 ? 'var(--under)' : 'var(--ink)'}
                  opacity={0.62}
                />
                <text x={width - 76} y={at * ROW + 14} textAnchor="end">
                  {text}
                </text>
                <text x={width - 16} y={at * ROW + 14} textAnchor="end" fill="var(--faint)">
                  {share === null ? '' : formatShare(share, 1)}
                </text>
              </g>
            );
          })}
          <text x={16} y={height - 8} fill="var(--faint)">
            {rest}
          </text>
        </svg>
      )}
    </div>
  );
}
