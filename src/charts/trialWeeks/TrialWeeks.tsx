import { scaleBand, scaleLinear } from 'd3-scale';
import { PictureTable } from '../PictureTable';

interface TrialWeeksProps {
  caption: string;
  /** Whether changes are on in each week, and whether its orders are in. */
  weeks: readonly { label: string; isOn: boolean; isKnown: boolean }[];
  /** What was known after a week, shares. */
  grown: readonly { week: number; sales: { effect: number; low: number; high: number } }[];
  width: number;
}

const [LEFT, STRIP, TOP, HEIGHT, LABELS] = [52, 22, 10, 110, 18];
const WIDEST = 64;
const percent = (share: number) => `${share < 0 ? '−' : '+'}${Math.round(100 * Math.abs(share))} %`;

/** The weeks of a trial as a strip of on and off, and above it the effect as it was known after each, with its interval. */
export function TrialWeeks({ caption, weeks, grown, width }: TrialWeeksProps) {
  const right = Math.min(width - 4, LEFT + weeks.length * WIDEST);
  const x = scaleBand(
    weeks.map((_, week) => week),
    [LEFT, right],
  ).paddingInner(0.08);
  const ends = grown.flatMap(({ sales }) => [sales.low, sales.high]);
  const most = ends.reduce((top, one) => Math.max(top, Math.abs(one)), 0.1);
  const bottom = grown.length > 0 ? TOP + HEIGHT : TOP;
  const y = scaleLinear([-most, most], [bottom, TOP]);
  const every = Math.ceil(weeks.length / ((right - LEFT) / 48));
  return (
    <>
      <PictureTable
        caption={caption}
        headings={['Week from', 'Changes', 'Orders in', 'Effect on sales', 'From', 'To']}
        rows={weeks.map(({ label, isOn, isKnown }, week) => {
          const known = grown.find((one) => one.week === week)?.sales;
          return [
            label,
            isOn ? 'on' : 'off',
            isKnown ? 'yes' : 'no',
            ...(known ? [known.effect, known.low, known.high].map(percent) : ['', '', '']),
          ];
        })}
      />
      <svg width={width} height={bottom + STRIP + LABELS + 6} role="img" aria-label={caption}>
        {grown.length > 0 && (
          <>
            {[-most, 0, most].map((at) => (
              <g key={at}>
                <line x1={LEFT} x2={right} y1={y(at)} y2={y(at)} stroke="var(--hairline)" />
                <text x={LEFT - 6} y={y(at) + 4} textAnchor="end" fontSize={10.5} fill="var(--faint)">
                  {at === 0 ? '0' : percent(at)}
                </text>
              </g>
            ))}
            {grown.map(({ week, sales }) => {
              const middle = x(week)! + x.bandwidth() / 2;
              return (
                <g key={week}>
                  <title>{`after ${weeks[week].label}: ${percent(sales.effect)}, ${percent(sales.low)} to ${percent(sales.high)}`}</title>
                  <line x1={middle} x2={middle} y1={y(sales.low)} y2={y(sales.high)} stroke="var(--ink)" />
                  <circle
                    cx={middle}
                    cy={y(sales.effect)}
                    r={4}
                    fill={sales.effect >= 0 ? 'var(--under)' : 'var(--over)'}
                  />
                </g>
              );
            })}
          </>
        )}
        {weeks.map(({ label, isOn, isKnown }, week) => (
          <g key={week} transform={`translate(${x(week)},${bottom + 6})`}>
            <title>{`week from ${label}: ${isOn ? 'on' : 'off'}${isKnown ? '' : ', its orders are not all in'}`}</title>
            <rect
              width={x.bandwidth()}
              height={STRIP}
              fill={isOn ? 'var(--ink)' : 'none'}
              fillOpacity={isKnown ? 0.28 : 0.1}
              stroke="var(--hairline)"
              strokeDasharray={isKnown ? undefined : '3 3'}
            />
            <text
              x={x.bandwidth() / 2}
              y={STRIP / 2 + 4}
              textAnchor="middle"
              fontSize={10.5}
              fill={isKnown ? 'var(--ink)' : 'var(--faint)'}
            >
              {isOn ? 'on' : 'off'}
            </text>
            {week % every === 0 && (
              <text
                x={x.bandwidth() / 2}
                y={STRIP + LABELS - 4}
                textAnchor="middle"
                fontSize={10}
                fill="var(--faint)"
              >
                {label}
              </text>
            )}
          </g>
        ))}
      </svg>
    </>
  );
}
