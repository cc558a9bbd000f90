import { useRef } from 'react';

const STEP = 8;

interface GripProps {
  label: string;
  /** Pixels, as are the bounds. */
  size: number;
  least: number;
  most?: number;
  /** Whether the edge is a line across, below what it sizes, rather than one at its side. */
  isAcross?: boolean;
  /** Whether what it sizes lies behind the edge: at its right, or below it. */
  isReversed?: boolean;
  onSize: (size: number) => void;
}

/** The edge of a column, panel or picture: dragged, or moved with the arrow keys, it sets the size. */
export function Grip({
  label,
  size,
  least,
  most = Infinity,
  isAcross = false,
  isReversed = false,
  onSize,
}: GripProps) {
  const from = useRef<{ at: number; size: number } | null>(null);
  const set = (next: number) => onSize(Math.min(most, Math.max(least, Math.round(next))));
  const sign = isReversed ? -1 : 1;
  const [less, more] = isAcross ? ['ArrowUp', 'ArrowDown'] : ['ArrowLeft', 'ArrowRight'];
  const at = (event: { clientX: number; clientY: number }) => (isAcross ? event.clientY : event.clientX);
  return (
    <span
      role="separator"
      aria-orientation={isAcross ? 'horizontal' : 'vertical'}
      aria-label={label}
      aria-valuenow={size}
      aria-valuemin={least}
      aria-valuemax={Number.isFinite(most) ? most : undefined}
      tabIndex={0}
      className={`grip ${isAcross ? 'gripAcross' : 'gripUpright'}${isReversed ? ' gripBefore' : ''}`}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { at: at(event), size };
      }}
      onPointerMove={(event) => from.current && set(from.current.size + sign * (at(event) - from.current.at))}
      onPointerUp={() => (from.current = null)}
      onPointerCancel={() => (from.current = null)}
      onKeyDown={(event) => {
        const by = { [less]: -STEP, [more]: STEP }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        set(size + sign * by);
      }}
    />
  );
}
