import { area, line } from 'd3-shape';
import { scaleLinear } from 'd3-scale';
import { largest, smallest } from '../../core/order';
import { PictureTable } from '../PictureTable';

/** A figure of a week: its middle over all markets, and between which eight of ten lie. */
interface Banded {
  mean: number;
  low: number;
  high: number;
}

interface PlayedWeeksProps {
  caption: string;
  /** By week. */
  with: readonly Banded[];
  without: readonly Banded[];
  show: (value: number) => string;
  /** A value at its axis, short. */
  tick: (value: number) => string;
  width: number;
}

const [LEFT, RIGHT, TOP, HEIGHT, LABELS] = [56, 92, 10, 150, 20];

/** Weeks that were played with something and without it: the middle of all markets as lines, eight of ten as bands. */
export function PlayedWeeks({ caption, with: tried, without, show, tick, width }: PlayedWeeksProps) {
  const ends = [...tried, ...without].flatMap(({ low, high }) => [low, high]);
  const [least, most] = [Math.min(0, smallest(ends)), Math.max(1, largest(ends))];
  const x = scaleLinear([0, Math.max(1, tried.length - 1)], [LEFT, width - RIGHT]);
  const y = scaleLinear([least, most], [TOP + HEIGHT, TOP]).nice(4);
  const band = area<Banded>()
    .x((_, week) => x(week))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high));
  const middle = line<Banded>()
    .x((_, week) => x(week))
    .y(({ mean }) => y(mean));
  const lines = [
    { name: 'without', list: without, colour: 'var(--faint)', dash: '5 3' },
    { name: 'with it', list: tried, colour: 'var(--ink)', dash: undefined },
  ];
  const stops = lines.map(({ list }) => y(list.at(-1)?.mean ?? 0));
  // Two names at one height would stand on one another.
  const apart = Math.abs(stops[0] - stops[1]) < 14 ? (stops[1] <= stops[0] ? [8, -6] : [-6, 8]) : [0, 0];
  return (
    <>
      <PictureTable
        caption={caption}
        headings={['Week', 'With it', 'from', 'to', 'Without', 'from', 'to']}
        rows={tried.map((one, week) => [
          String(week + 1),
          ...[one.mean, one.low, one.high].map(show),
          ...[without[week].mean, without[week].low, without[week].high].map(show),
        ])}
      />
      <svg width={width} height={TOP + HEIGHT + LABELS} role="img" aria-label={caption}>
        {y.ticks(4).map((value) => (
          <g key={value}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(value)} y2={y(value)} stroke="var(--hairline)" />
            <text x={LEFT - 6} y={y(value) + 4} textAnchor="end" fontSize={10.5} fill="var(--faint)">
              {tick(value)}
            </text>
          </g>
        ))}
        {lines.map(({ name, list, colour, dash }, at) => (
          <g key={name}>
            <path d={band(list as Banded[]) ?? ''} fill={colour} fillOpacity={0.1} />
            <path
              d={middle(list as Banded[]) ?? ''}
              fill="none"
              stroke={colour}
              strokeWidth={1.6}
              strokeDasharray={dash}
            />
            {list.map((one, week) => (
              <circle key={week} cx={x(week)} cy={y(one.mean)} r={2.5} fill={colour}>
                <title>{`week ${week + 1}, ${name}: ${show(one.mean)} (${show(one.low)} to ${show(one.high)})`}</title>
              </circle>
            ))}
            <text x={width - RIGHT + 8} y={stops[at] + 4 + apart[at]} fontSize={11} fill={colour}>
              {name}
            </text>
          </g>
        ))}
        {tried.map((_, week) => (
          <text
            key={week}
            x={x(week)}
            y={TOP + HEIGHT + 14}
            textAnchor="middle"
            fontSize={10.5}
            fill="var(--faint)"
          >
            {week + 1}
          </text>
        ))}
      </svg>
    </>
  );
}
