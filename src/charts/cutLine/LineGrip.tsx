import { useRef } from 'react';
import { formatShare } from '../../core/units';
import type { CutLineLayout } from './layout';
import { MARGIN } from './margin';

interface LineProps {
  layout: CutLineLayout;
  width: number;
}

/** Ends of the line at an ACOS, in pixels. */
function endsOf({ toRpc, toY }: CutLineLayout, width: number, acos: number) {
  const [x0, x1] = [MARGIN.left, width - MARGIN.right];
  return { x0, x1, y0: toY(toRpc(x0) * acos), y1: toY(toRpc(x1) * acos) };
}

/** A line of one ACOS across the picture, beside the cut line itself. */
export function AcosLine({
  layout,
  width,
  acos,
  label,
  isDashed = false,
}: LineProps & { acos: number; label: string; isDashed?: boolean }) {
  const { x0, x1, y0, y1 } = endsOf(layout, width, acos);
  const slope = (y1 - y0) / (x1 - x0);
  // The label stands to the left, where few dots are, inside the picture.
  const labelX = Math.max(x0 + 8, Math.min(x1 - 120, x0 + (MARGIN.top + 40 - y0) / slope));
  return (
    <g style={{ pointerEvents: 'none' }}>
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke={isDashed ? 'var(--faint)' : 'var(--accent)'}
        strokeWidth={isDashed ? 1 : 2}
        strokeDasharray={isDashed ? '3 4' : undefined}
        clipPath="url(#cut-line-plot)"
      />
      <text
        x={labelX}
        y={Math.max(MARGIN.top + 24, y0 + (labelX - x0) * slope - 6)}
        fontSize={11}
        textAnchor="end"
        fill={isDashed ? 'var(--faint)' : 'var(--accent)'}
        fontWeight={isDashed ? 400 : 650}
      >
        {formatShare(acos, 0)} {label}
      </text>
    </g>
  );
}

const [LEAST, MOST] = [0.02, 2];
const toPercent = (acos: number) => Math.round(Math.min(MOST, Math.max(LEAST, acos)) * 100) / 100;

/** The cut line as something to take hold of: dragged, or moved with the arrow keys, it tries another target ACOS. */
export function LineGrip({
  layout,
  width,
  target,
  tried,
  onTry,
}: LineProps & { target: number; tried: number | null; onTry: (acos: number | null) => void }) {
  const grip = useRef<SVGLineElement>(null);
  const acos = tried ?? target;
  const { x0, x1, y0, y1 } = endsOf(layout, width, acos);
  const drag = (event: React.PointerEvent) => {
    if (event.buttons === 0) return;
    const bounds = grip.current!.ownerSVGElement!.getBoundingClientRect();
    const cpc = layout.toCpc(event.clientY - bounds.top);
    onTry(toPercent(cpc / layout.toRpc(event.clientX - bounds.left)));
  };
  const step = (by: number) => onTry(toPercent(acos + by));
  return (
    <>
      {tried !== null && <AcosLine layout={layout} width={width} acos={tried} label="tried" />}
      <line
        ref={grip}
        className="grip"
        role="slider"
        tabIndex={0}
        aria-label="Try another target ACOS"
        aria-valuemin={LEAST * 100}
        aria-valuemax={MOST * 100}
        aria-valuenow={Math.round(acos * 100)}
        aria-valuetext={formatShare(acos, 0)}
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke="transparent"
        strokeWidth={13}
        clipPath="url(#cut-line-plot)"
        style={{ cursor: 'move', touchAction: 'none' }}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
        onKeyDown={(event) => {
          const by = { ArrowUp: 0.01, ArrowRight: 0.01, ArrowDown: -0.01, ArrowLeft: -0.01 }[event.key];
          if (by === undefined && event.key !== 'Escape') return;
          event.preventDefault();
          event.stopPropagation();
          if (by === undefined) onTry(null);
          else step(by);
        }}
      >
        <title>Drag to try another target ACOS</title>
      </line>
    </>
  );
}
