import { useSyncExternalStore } from 'react';
import { formatMoney } from '../../core/units';
import type { CutLineLayout } from './layout';

/** The row that the pointer is at, in a picture or in a table of the same rows. */
export interface HoveredDot {
  get: () => number | null;
  set: (row: number | null) => void;
  subscribe: (listener: () => void) => () => void;
}

interface HoverRingProps {
  layout: CutLineLayout;
  width: number;
  hovered: HoveredDot;
  nameOf?: (row: number) => string;
}

/** A ring around the dot that the pointer is at, its whisker, and its name. */
export function HoverRing({ layout, width, hovered, nameOf }: HoverRingProps) {
  const row = useSyncExternalStore(hovered.subscribe, hovered.get);
  const dot = row === null ? undefined : layout.dots.of(row);
  if (!dot) return null;
  const isRight = dot.x > width * 0.6;
  const name = nameOf?.(dot.row) ?? '';
  return (
    <g pointerEvents="none" fontSize={12}>
      <line x1={dot.x0} x2={dot.x1} y1={dot.y} y2={dot.y} stroke="var(--ink)" />
      <circle cx={dot.x} cy={dot.y} r={dot.radius + 3} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <text
        x={dot.x + (isRight ? -1 : 1) * (dot.radius + 8)}
        y={dot.y - 6}
        textAnchor={isRight ? 'end' : 'start'}
        fill="var(--ink)"
        stroke="var(--ground)"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {name.length > 44 ? `${name.slice(0, 43)}…` : name} · CPC {formatMoney(layout.toCpc(dot.y))}
      </text>
    </g>
  );
}
