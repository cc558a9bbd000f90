import { brush } from 'd3-brush';
import type { D3BrushEvent } from 'd3-brush';
import { select } from 'd3-selection';
import { useDeferredValue, useEffect, useMemo, useRef } from 'react';
import { formatCount, formatShare } from '../../core/units';
import { digits } from './digits';
import { useSize } from '../useSize';
import { layOutCutLine } from './layout';
import type { CutLinePoints } from './dots';
import type { CutLineLayout } from './layout';
import { AcosLine, LineGrip } from './LineGrip';
import { HoverRing } from './HoverRing';
import type { HoveredDot } from './HoverRing';
import { MARGIN } from './margin';
import { paintDots } from './paintDots';

/** A brushed area, in micros. */
export interface Area {
  rpc: [number, number];
  cpc: [number, number];
}

export interface CutLineProps {
  points: CutLinePoints;
  /** Share. */
  target: number;
  currency: string;
  height: number;
  focusedRow: number | null;
  area: Area | null;
  onArea: (area: Area | null) => void;
  onPick: (row: number) => void;
  /** The row that the pointer is at, here or in the table, and what it is called. */
  hovered?: HoveredDot;
  nameOf?: (row: number) => string;
  /** Margin of the focused row's product, share: where a click only just pays for itself. */
  breakEven?: number | null;
  /** Another target ACOS that is being tried, share; null for none. The line can be dragged where this is given. */
  tried?: number | null;
  onTry?: (acos: number | null) => void;
}

/** The cut line: what stands above it costs more than the target, what lies below may grow. */
export function CutLine(props: CutLineProps) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  // Of a hundred thousand rows it is laid out after they are drawn themselves.
  const points = useDeferredValue(props.points);
  return (
    <div ref={frame} style={{ position: 'relative', height: props.height }}>
      {width > 0 && <Drawn {...props} points={points} width={width} />}
    </div>
  );
}

function Drawn({
  points,
  target,
  currency,
  width,
  height,
  focusedRow,
  area,
  onArea,
  onPick,
  hovered,
  nameOf,
  breakEven = null,
  tried = null,
  onTry,
}: CutLineProps & { width: number }) {
  const layout = useMemo(
    () => layOutCutLine(points, target, { width, height, margin: MARGIN }),
    [points, target, width, height],
  );
  const { over, count, swarms } = layout;
  const words = `Cut line at ${formatShare(target)} ACOS: ${over} of ${count} rows stand above it and cost more, ${count - over} lie below.`;
  return (
    <div
      style={{ position: 'absolute', inset: 0 }}
      onPointerMove={
        hovered &&
        (({ clientX, clientY, buttons, currentTarget }) => {
          const bounds = currentTarget.getBoundingClientRect();
          const dot = layout.dots.nearest(clientX - bounds.left, clientY - bounds.top);
          hovered.set(dot && buttons === 0 ? dot.row : null);
        })
      }
      onPointerLeave={hovered && (() => hovered.set(null))}
    >
      <Dots layout={layout} width={width} height={height} focusedRow={focusedRow} words={words} />
      <svg width={width} height={height} style={{ position: 'absolute', inset: 0 }}>
        <Axes layout={layout} width={width} height={height} currency={currency} target={target} />
        <Brush layout={layout} width={width} height={height} area={area} onArea={onArea} onPick={onPick} />
        {breakEven !== null && breakEven > 0 && (
          <AcosLine layout={layout} width={width} acos={breakEven} label="break-even" isDashed />
        )}
        {onTry && <LineGrip layout={layout} width={width} target={target} tried={tried} onTry={onTry} />}
        {hovered && <HoverRing layout={layout} width={width} hovered={hovered} nameOf={nameOf} />}
      </svg>
      {swarms.length > 0 && (
        <div className="faint" style={{ position: 'absolute', right: 18, bottom: 32, fontSize: 11 }}>
          {formatCount(count)} rows: small marks stand for several, deeper ones for more
        </div>
      )}
    </div>
  );
}

type LayoutProps = { layout: CutLineLayout; width: number; height: number };

type DotsProps = LayoutProps & { focusedRow: number | null; words: string };

/** The picture itself; the lines over it can be moved, so they are no part of it. */
function Dots({ layout, width, height, focusedRow, words }: DotsProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const paint = () => canvas.current && paintDots(canvas.current, layout, { width, height, focusedRow });
    paint();
    const themes = new MutationObserver(paint);
    themes.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => themes.disconnect();
  }, [layout, width, height, focusedRow]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={words}
      style={{ position: 'absolute', inset: 0, width, height }}
    />
  );
}

function Axes({
  layout,
  width,
  height,
  currency,
  target,
}: LayoutProps & { currency: string; target: number }) {
  const [x0, y0, x1, y1] = layout.line;
  const bottom = height - MARGIN.bottom;
  // The label stands where the line leaves the picture: at its top, or at its right edge.
  const slope = (y1 - y0) / (x1 - x0);
  const labelX = Math.min(width - MARGIN.right, x0 + (MARGIN.top + 14 - y0) / slope);
  const labelY = Math.max(MARGIN.top + 10, y0 + (labelX - x0) * slope - 8);
  return (
    <g fontSize={11} fill="var(--faint)">
      <clipPath id="cut-line-plot">
        <rect
          x={MARGIN.left}
          y={MARGIN.top}
          width={width - MARGIN.left - MARGIN.right}
          height={bottom - MARGIN.top}
        />
      </clipPath>
      {layout.xTicks.map(({ at, value }) => (
        <g key={value}>
          <line x1={at} x2={at} y1={bottom} y2={bottom + 4} stroke="var(--hairline)" />
          <text x={at} y={bottom + 15} textAnchor="middle">
            {digits(value)}
          </text>
        </g>
      ))}
      {layout.yTicks.map(({ at, value }) => (
        <g key={value}>
          <line
            x1={MARGIN.left - 4}
            x2={width - MARGIN.right}
            y1={at}
            y2={at}
            stroke="var(--hairline)"
            strokeOpacity={0.6}
          />
          <text x={MARGIN.left - 8} y={at + 4} textAnchor="end">
            {digits(value)}
          </text>
        </g>
      ))}
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke="var(--ink)"
        strokeWidth={1.5}
        clipPath="url(#cut-line-plot)"
      />
      <text x={labelX - 8} y={labelY} textAnchor="end" fill="var(--ink)" fontWeight={600}>
        {formatShare(target)} ACOS
      </text>
      <text x={width - MARGIN.right} y={height - 2} textAnchor="end">
        sales per click, estimated ({currency}) →
      </text>
      <text x={16} y={13}>
        ↑ CPC ({currency})
      </text>
    </g>
  );
}

type BrushProps = LayoutProps & Pick<CutLineProps, 'area' | 'onArea' | 'onPick'>;

function Brush({ layout, width, height, area, onArea, onPick }: BrushProps) {
  const group = useRef<SVGGElement>(null);
  const latest = useRef({ layout, onArea, onPick });
  useEffect(() => {
    latest.current = { layout, onArea, onPick };
  });
  const behaviour = useMemo(() => brush<unknown>(), []);
  useEffect(() => {
    behaviour.extent([
      [MARGIN.left, MARGIN.top],
      [width - MARGIN.right, height - MARGIN.bottom],
    ]);
    behaviour.on('end', (event: D3BrushEvent<unknown>) => {
      if (!event.sourceEvent) return;
      const { layout: now, onArea: tell, onPick: pick } = latest.current;
      const box = event.selection as [[number, number], [number, number]] | null;
      if (box) {
        const [[x0, y0], [x1, y1]] = box;
        return tell({ rpc: [now.toRpc(x0), now.toRpc(x1)], cpc: [now.toCpc(y1), now.toCpc(y0)] });
      }
      tell(null);
      const bounds = group.current!.ownerSVGElement!.getBoundingClientRect();
      const { clientX, clientY } = event.sourceEvent as MouseEvent;
      const dot = now.dots.nearest(clientX - bounds.left, clientY - bounds.top);
      if (dot) pick(dot.row);
    });
    select(group.current!).call(behaviour);
  }, [behaviour, width, height]);
  useEffect(() => {
    const box: [[number, number], [number, number]] | null = area && [
      [layout.toX(area.rpc[0]), layout.toY(area.cpc[1])],
      [layout.toX(area.rpc[1]), layout.toY(area.cpc[0])],
    ];
    select(group.current!).call(behaviour.move, box);
  }, [behaviour, area, layout]);
  return <g ref={group} className="brush" />;
}
