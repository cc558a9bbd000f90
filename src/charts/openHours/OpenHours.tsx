import { formatCount, formatDay } from '../../core/units';
import { PictureTable } from '../PictureTable';

interface OpenDay {
  day: string;
  /** Clock time from which there was no money, hours; 24: there was all day. */
  until: number;
  /** Clicks that came, and those that are expected to have been missed. */
  came: number;
  missed: number;
}

interface OpenHoursProps {
  /** The oldest first. */
  days: OpenDay[];
  /** Whether the money was spread over the day: then the share of clicks that it paid for is shown, and no hour. */
  isEven: boolean;
  width: number;
}

const HEIGHT = 84;
const LEFT = 34;
const TOP = 6;
const BOTTOM = 14;
const HOURS = 24;
const clock = (hours: number) => `${String(Math.floor(hours)).padStart(2, '0')}:00`;

/** Up to which hour a campaign had money, day by day, or what share of its clicks the money paid for: the rest is hatched. */
export function OpenHours({ days, isEven, width }: OpenHoursProps) {
  const dry = days.filter(({ missed }) => missed > 0);
  const words = isEven
    ? `Clicks paid for over ${days.length} days: on ${dry.length} money held the campaign up.`
    : `Hours with money over ${days.length} days: ${dry.length} ran dry.`;
  /** Where the hatching of a day begins, as an hour of the scale. */
  const openTo = ({ until, came, missed }: OpenDay) => (isEven ? (HOURS * came) / (came + missed) : until);
  const told = (one: OpenDay) => {
    const missed = `about ${formatCount(Math.round(one.missed))} clicks missed`;
    if (one.missed <= 0) return 'money all day';
    return isEven ? `held up all day, ${missed}` : `no money from about ${clock(one.until)}, ${missed}`;
  };
  const step = (width - LEFT) / Math.max(1, days.length);
  const y = (hour: number) => TOP + ((HEIGHT - TOP - BOTTOM) * hour) / HOURS;
  return (
    <>
      <PictureTable
        caption={words}
        headings={['Day', isEven ? 'Clicks' : 'No money from', 'Clicks missed']}
        rows={dry.map(({ day, until, came, missed }) => [
          formatDay(day),
          isEven ? formatCount(came) : clock(until),
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
            {isEven ? `${(100 * hour) / HOURS} %` : `${hour} h`}
          </text>
        ))}
        {days.map((one, at) => (
          <g key={one.day}>
            <title>{`${formatDay(one.day)}: ${told(one)}`}</title>
            <rect
              x={LEFT + at * step}
              y={y(0)}
              width={Math.max(1, step - 1.5)}
              height={y(one.missed > 0 ? openTo(one) : HOURS) - y(0)}
              fill="var(--under)"
              opacity={0.45}
            />
            {one.missed > 0 && (
              <rect
                x={LEFT + at * step}
                y={y(openTo(one))}
                width={Math.max(1, step - 1.5)}
                height={y(HOURS) - y(openTo(one))}
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
