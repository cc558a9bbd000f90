import { formatShare } from '../../core/units';
import { layOutRateCurve } from './layout';
import type { RateBelief } from './layout';

interface RateCurveProps {
  prior: RateBelief;
  posterior: RateBelief;
  /** Conversion rate that the CPC needs for the target; null when unknown. */
  needed: number | null;
  width: number;
}

const HEIGHT = 64;

/** What is usual here (pale), what this row's clicks make of it (dark), and the rate it needs (line). */
export function RateCurve({ prior, posterior, needed, width }: RateCurveProps) {
  const {
    prior: before,
    posterior: after,
    neededX,
    ticks,
  } = layOutRateCurve(prior, posterior, needed, width, HEIGHT);
  // Ticks half a per cent apart must not read alike.
  const isFine = (ticks.at(-1)?.value ?? 1) < 0.05;
  const words = `Estimated conversion ${formatShare(posterior.shape / posterior.rate)}, usual here ${formatShare(prior.shape / prior.rate)}, needed ${formatShare(needed)}.`;
  return (
    <svg width={width} height={HEIGHT + 16} role="img" aria-label={words}>
      <path d={before} fill="var(--thin)" opacity={0.28} />
      <path d={after} fill="var(--under)" fillOpacity={0.35} stroke="var(--under)" />
      {neededX !== null && (
        <>
          <line
            x1={neededX}
            x2={neededX}
            y1={2}
            y2={HEIGHT}
            stroke="var(--over)"
            strokeWidth={1.5}
            strokeDasharray="4 2"
          />
          <text
            x={neededX > width - 60 ? neededX - 4 : neededX + 4}
            y={11}
            fontSize={11}
            fill="var(--over)"
            textAnchor={neededX > width - 60 ? 'end' : 'start'}
          >
            needed
          </text>
        </>
      )}
      {ticks.map(({ at, value }, index) => (
        <text
          key={value}
          x={at}
          y={HEIGHT + 13}
          fontSize={11}
          fill="var(--faint)"
          textAnchor={index === 0 ? 'start' : at > width - 14 ? 'end' : 'middle'}
        >
          {formatShare(value, isFine ? 1 : 0)}
        </text>
      ))}
    </svg>
  );
}
