import { formatCount, formatDay } from '../../core/units';
import { PictureTable } from '../PictureTable';

interface OpenDay {
  day: string;
  /** Clock time from which there was no money, hours; 24: there was all day. */
  until: number;
  /** Clicks that are expected to have been missed. */
  missed: number;
}

interface OpenHoursProps {
  /** The oldest first. */
  days: OpenDay[];
  width: number;
}

const HEIGHT = 84;
const LEFT = 30;
const TOP = 6;
const BOTTOM = 14;
const HOURS = 24;
const clock = (hours: number) => `${String(Math.floor(hours)).padStart(2, '0')}:00`;

/** Up to which hour a campaign had money, day by day: what is left of a day is hatched. */
export function OpenHours({ days, width }: OpenHoursProps) {
  const dry = days.filter(({ until }) => until < HOURS);
  const words = `Hours with money over ${days.length} days: ${dry.length} ran dry.`;
  const step = (width - LEFT) / Math.max(1, days.length);
  const y = (hour: number) => TOP + ((HEIGHT - TOP - BOTTOM) * hour) / HOURS;
  return (
    <>
      <PictureTable
        caption={words}
        headings={['Day', 'No money from', 'Clicks missed']}
        rows={dry.map(({ day, until, missed }) => [
          formatDay(day),
          clock(until),
          formatCount(Math.round(missed)),
        ])}
      />
      <svg width={width} height={HEIGHT} role="img" aria-label={words}>
        <defs>
          <pattern id="dry" width={4} height={4} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1={0} y1={0} x2={0} y2={4} stroke="var(--over)" strokeWidth={1.4} />
          </pattern>
        </defs>
        {[0, 12, 24].map((hour) => (
          <text key={hour} x={LEFT - 5} y={y(hour) + 4} textAnchor="end" fontSize={10} fill="var(--faint)">
            {hour} h
          </text>
        ))}
        {days.map(({ day, until, missed }, at) => (
          <g key={day}>
            <title>
              {until < HOURS
                ? `${formatDay(day)}: no money from about ${clock(until)}, about ${formatCount(Math.round(missed))} clicks missed`
                : `${formatDay(day)}: money all day`}
            </title>
            <rect
              x={LEFT + at * step}
              y={y(0)}
              width={Math.max(1, step - 1.5)}
              height={y(until) - y(0)}
              fill="var(--under)"
              opacity={0.45}
            />
            {until < HOURS && (
              <rect
                x={LEFT + at * step}
                y={y(until)}
                width={Math.max(1, step - 1.5)}
                height={y(HOURS) - y(until)}
                fill="url(#dry)"
              />
            )}
          </g>
        ))}
        {days.length > 0 && (
          <>
            <text x={LEFT} y={HEIGHT - 2} fontSize={10} fill="var(--faint)">
              {formatDay(days[0].day)}
            </text>
            <text x={width} y={HEIGHT - 2} textAnchor="end" fontSize={10} fill="var(--faint)">
              {formatDay(days[days.length - 1].day)}
            </text>
          </>
        )}
      </svg>
    </>
  );
}
