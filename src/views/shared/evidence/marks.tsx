import { largest } from '../../../core/order';
import { GRADES, STANDINGS } from '../../../core/lenses';

const STANDING_MARKS = {
  earning: { sign: '●', className: 'under', words: 'Earning: below its target, as far as can be told' },
  near: { sign: '◐', className: '', words: 'Near its target: either side is possible' },
  losing: { sign: '▲', className: 'over', words: 'Losing: costs more than its target allows' },
  early: { sign: '○', className: 'faint', words: 'Too early to say' },
} as const;

/** How a row stands to its target, by shape and colour. */
export function StandingMark({ standing }: { standing: number }) {
  const { sign, className, words } = STANDING_MARKS[STANDINGS[standing]];
  return (
    <span className={className} role="img" aria-label={words} title={words}>
      {sign}
    </span>
  );
}

/** How sure the estimate is: one, two or three bars. */
export function EvidenceMark({ grade }: { grade: number }) {
  const words = `Evidence: ${GRADES[grade]}`;
  return (
    <svg width={20} height={12} role="img" aria-label={words}>
      <title>{words}</title>
      {[0, 1, 2].map((at) => (
        <rect
          key={at}
          x={1 + at * 6}
          y={8 - at * 3}
          width={4}
          height={4 + at * 3}
          fill={at <= grade ? 'var(--ink)' : 'none'}
          stroke="var(--faint)"
          strokeWidth={1}
        />
      ))}
    </svg>
  );
}

/** A line as small as a cell. */
export function Spark({ values }: { values: number[] | undefined }) {
  if (!values) return <span className="faint">…</span>;
  const most = largest(values);
  if (!(most > 0)) return <span className="faint">–</span>;
  const [width, height] = [58, 16];
  const x = (at: number) => (values.length === 1 ? width / 2 : (at / (values.length - 1)) * width);
  const points = values.map(
    (value, at) => `${x(at).toFixed(1)},${(height - 1 - (value / most) * (height - 2)).toFixed(1)}`,
  );
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label="Spend by week, oldest first"
      style={{ display: 'block' }}
    >
      <polyline points={points.join(' ')} fill="none" stroke="var(--ink)" strokeWidth={1.1} opacity={0.75} />
    </svg>
  );
}
