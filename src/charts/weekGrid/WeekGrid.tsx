import { scaleBand, scaleLinear } from 'd3-scale';
import { PictureTable } from '../PictureTable';

/** An hour of the week, a weekday or an hour of the day. */
export interface GridCell {
  /** Null: there is nothing to tell. */
  value: number | null;
  /** The figure as it is shown in it. */
  text: string;
  /** How far it stands out: -1 to 1 about the middle of the scale. */
  tone: number;
  /** Whether it is surely off the middle: what is not is hatched and has no colour. */
  isSure: boolean;
}

/** A weekday or hour alone, with its 80 % interval where it has one. */
export interface GridMargin {
  value: number | null;
  low?: number;
  high?: number;
  text: string;
}

interface WeekGridProps {
  /** What it shows, in words. */
  caption: string;
  /** 168, weekday x 24 + hour. */
  cells: readonly GridCell[];
  weekdays: readonly GridMargin[];
  hours: readonly GridMargin[];
  /** Where bars of weekdays and hours begin. */
  base: number;
  dayNames: readonly string[];
  width: number;
}

const HOURS = 24;
const LEFT = 40;
const TOP = 18;
const ROW = 34;
/** Room for the bars of weekdays at the right, and of hours below. */
const [RIGHT, BELOW, GAP] = [128, 84, 14];

/** The hours of a week as a grid, its weekdays as bars beside it and its hours as bars below; what is not sure is hatched. */
export function WeekGrid({ caption, cells, weekdays, hours, base, dayNames, width }: WeekGridProps) {
  const x = scaleBand(
    Array.from({ length: HOURS }, (_, hour) => hour),
    [LEFT, Math.max(LEFT + 480, width - RIGHT - GAP)],
  ).paddingInner(0.06);
  const y = scaleBand(
    dayNames.map((_, day) => day),
    [TOP, TOP + dayNames.length * ROW],
  ).paddingInner(0.08);
  const right = x.range()[1] + GAP;
  const bottom = y.range()[1] + GAP;
  const [longest, highest] = [scaleOf(weekdays, base), scaleOf(hours, base)];
  const barX = scaleLinear(longest, [right, right + RIGHT - 40]);
  const barY = scaleLinear(highest, [bottom + BELOW - 16, bottom]);
  return (
    <>
      <PictureTable
        caption={caption}
        headings={['', ...Array.from({ length: HOURS }, (_, hour) => `${hour} h`), 'Day']}
        rows={[
          ...dayNames.map((name, day) => [
            name,
            ...cells.slice(day * HOURS, (day + 1) * HOURS).map(({ text }) => text),
            weekdays[day].text,
          ]),
          ['Hour', ...hours.map(({ text }) => text), ''],
        ]}
      />
      <svg width={right + RIGHT} height={bottom + BELOW} role="img" aria-label={caption}>
        <defs>
          <pattern
            id="unsure"
            width={5}
            height={5}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1={0} y1={0} x2={0} y2={5} stroke="var(--hairline)" strokeWidth={2} />
          </pattern>
        </defs>
        {Array.from({ length: HOURS }, (_, hour) => (
          <text
            key={hour}
            x={x(hour)! + x.bandwidth() / 2}
            y={TOP - 6}
            textAnchor="middle"
            fontSize={10.5}
            fill="var(--faint)"
          >
            {hour}
          </text>
        ))}
        {dayNames.map((name, day) => (
          <text
            key={name}
            x={LEFT - 8}
            y={y(day)! + y.bandwidth() / 2 + 4}
            textAnchor="end"
            fontSize={12}
            fill="var(--ink)"
          >
            {name}
          </text>
        ))}
        {cells.map((cell, at) => {
          const [day, hour] = [Math.floor(at / HOURS), at % HOURS];
          return (
            <g key={at} transform={`translate(${x(hour)},${y(day)})`}>
              <title>{`${dayNames[day]} ${hour}–${hour + 1} h: ${cell.text}${cell.isSure ? '' : ', not surely so'}`}</title>
              <rect
                width={x.bandwidth()}
                height={y.bandwidth()}
                fill={cell.isSure ? (cell.tone >= 0 ? 'var(--under)' : 'var(--over)') : 'url(#unsure)'}
                fillOpacity={cell.isSure ? 0.12 + 0.5 * Math.min(1, Math.abs(cell.tone)) : 1}
                stroke="var(--hairline)"
                strokeWidth={0.5}
              />
              <text
                x={x.bandwidth() / 2}
                y={y.bandwidth() / 2 + 4}
                textAnchor="middle"
                fontSize={10.5}
                fill={cell.isSure ? 'var(--ink)' : 'var(--faint)'}
              >
                {cell.text}
              </text>
            </g>
          );
        })}
        {weekdays.map((one, day) => {
          const middle = y(day)! + y.bandwidth() / 2;
          return (
            <g key={day}>
              <Bar
                from={barX(base)}
                to={barX(one.value ?? base)}
                at={middle}
                thick={12}
                isUpright={false}
                isMore={(one.value ?? base) >= base}
              />
              {one.low !== undefined && one.high !== undefined && (
                <line x1={barX(one.low)} x2={barX(one.high)} y1={middle} y2={middle} stroke="var(--ink)" />
              )}
              <text x={right + RIGHT} y={middle + 4} textAnchor="end" fontSize={11} fill="var(--ink)">
                {one.text}
              </text>
            </g>
          );
        })}
        {hours.map((one, hour) => {
          const middle = x(hour)! + x.bandwidth() / 2;
          return (
            <g key={hour}>
              <Bar
                from={barY(base)}
                to={barY(one.value ?? base)}
                at={middle}
                thick={Math.min(14, x.bandwidth() * 0.6)}
                isUpright
                isMore={(one.value ?? base) >= base}
              />
              {one.low !== undefined && one.high !== undefined && (
                <line y1={barY(one.low)} y2={barY(one.high)} x1={middle} x2={middle} stroke="var(--ink)" />
              )}
              <text x={middle} y={bottom + BELOW - 2} textAnchor="middle" fontSize={10} fill="var(--faint)">
                {one.text}
              </text>
            </g>
          );
        })}
      </svg>
    </>
  );
}

function Bar({
  from,
  to,
  at,
  thick,
  isUpright,
  isMore,
}: {
  from: number;
  to: number;
  at: number;
  thick: number;
  isUpright: boolean;
  isMore: boolean;
}) {
  const [start, length] = [Math.min(from, to), Math.max(1, Math.abs(to - from))];
  const place = isUpright
    ? { x: at - thick / 2, y: start, width: thick, height: length }
    : { x: start, y: at - thick / 2, width: length, height: thick };
  return <rect {...place} fill={isMore ? 'var(--under)' : 'var(--over)'} opacity={0.55} />;
}

/** From the least to the most of all that is drawn, the base among them. */
function scaleOf(margins: readonly GridMargin[], base: number): [number, number] {
  let [low, high] = [base, base];
  for (const { value, low: least, high: most } of margins)
    for (const one of [value, least, most])
      if (one !== null && one !== undefined) [low, high] = [Math.min(low, one), Math.max(high, one)];
  return high > low ? [low, high] : [low, low + 1];
}
