import { scaleLinear } from 'd3-scale';
import type { ScaleBand } from 'd3-scale';
import type { GridMargin } from './types';

interface WeekMarginsProps {
  weekdays: readonly GridMargin[];
  hours: readonly GridMargin[];
  /** Where bars begin. */
  base: number;
  x: ScaleBand<number>;
  y: ScaleBand<number>;
  right: number;
  bottom: number;
  /** Of the bars of weekdays, and of hours. */
  room: readonly [right: number, below: number];
}

/** Weekdays as bars beside a grid, hours as bars below it, with their intervals. */
export function WeekMargins({ weekdays, hours, base, x, y, right, bottom, room }: WeekMarginsProps) {
  const [beside, below] = room;
  const barX = scaleLinear(scaleOf(weekdays, base), [right, right + beside - 40]);
  const barY = scaleLinear(scaleOf(hours, base), [bottom + below - 16, bottom]);
  return (
    <>
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
            <text x={right + beside} y={middle + 4} textAnchor="end" fontSize={11} fill="var(--ink)">
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
            <text x={middle} y={bottom + below - 2} textAnchor="middle" fontSize={10} fill="var(--faint)">
              {one.text}
            </text>
          </g>
        );
      })}
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
