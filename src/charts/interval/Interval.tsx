import { scaleSymlog } from 'd3-scale';

interface IntervalProps {
  /** Shares; 0 is no change. */
  change: number;
  low: number;
  high: number;
  width: number;
  /** Whether more is what was wanted: colours and marks the side that the interval lies on. */
  isMoreGood: boolean;
  label: string;
}

const HEIGHT = 14;

/** A change with its interval on a line around "no change"; where the interval leaves the middle, the change is sure. */
export function Interval({ change, low, high, width, isMoreGood, label }: IntervalProps) {
  // Steep around nothing, flat far out: -15 % and +300 % stand on one line.
  const x = scaleSymlog()
    .constant(0.3)
    .domain([-1, 3])
    .range([4, width - 4])
    .clamp(true);
  const isSure = low > 0 || high < 0;
  const colour = !isSure ? 'var(--thin)' : low > 0 === isMoreGood ? 'var(--under)' : 'var(--over)';
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <line x1={x(0)} x2={x(0)} y1={0} y2={HEIGHT} stroke="var(--faint)" />
      <line
        x1={x(low)}
        x2={Math.max(x(low) + 2, x(high))}
        y1={HEIGHT / 2}
        y2={HEIGHT / 2}
        stroke={colour}
        strokeWidth={5}
        strokeLinecap="round"
        opacity={0.5}
      />
      <circle
        cx={x(change)}
        cy={HEIGHT / 2}
        r={3.5}
        fill={isSure ? colour : 'var(--ground)'}
        stroke={colour}
        strokeWidth={1.5}
      />
    </svg>
  );
}
