import { useRef } from 'react';

const LEAST = 40;
const STEP = 8;

/** The edge of a heading: dragged, or moved with the arrow keys, it sets the column's width. */
export function ResizeGrip({
  label,
  width,
  onWidth,
}: {
  label: string;
  width: number;
  onWidth: (width: number) => void;
}) {
  const from = useRef<{ x: number; width: number } | null>(null);
  const set = (next: number) => onWidth(Math.max(LEAST, Math.round(next)));
  return (
    <span
      role="separator"
      aria-orientation="vertical"
      aria-label={`Width of ${label}`}
      aria-valuenow={width}
      aria-valuemin={LEAST}
      tabIndex={0}
      className="table-grip"
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, width };
      }}
      onPointerMove={(event) => from.current && set(from.current.width + event.clientX - from.current.x)}
      onPointerUp={() => (from.current = null)}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        set(width + by);
      }}
    />
  );
}
