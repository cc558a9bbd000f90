import { largest, smallest } from '../../core/order';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Margin } from '../frame';

export interface TrendSeries {
  label: string;
  /** By day; null where there is no value. */
  values: (number | null)[];
  show: (value: number) => string;
  /** A rank: the smallest value stands at the top, and the axis need not hold zero. */
  isRank?: boolean;
  /** A value at its axis, short. */
  tick: (value: number) => string;
}

export interface TrendLine {
  label: string;
  path: string;
  /** Where its last value stands. */
  end: { x: number; y: number } | null;
  ticks: { at: number; text: string }[];
  /** Where a day's value stands; null for none. */
  yAt: (day: number) => number | null;
}

/** Lays out several measures on one time line, each from zero to its own top: their shapes are compared, not their sizes. */
export function layOutTrend(
  series: readonly TrendSeries[],
  days: number,
  box: { width: number; height: number; margin: Margin },
): { lines: TrendLine[]; x: (day: number) => number } {
  const { margin, width, height } = box;
  const x = scaleLinear([0, Math.max(1, days - 1)], [margin.left, width - margin.right]);
  const lines = series.map(({ label, values, tick, isRank }) => {
    const known = values.filter((value): value is number => value !== null);
    const low = Math.min(isRank ? 1 : 0, smallest(known));
    const ends = [height - margin.bottom, margin.top];
    const plain = scaleLinear([low, Math.max(largest(known), low + 1e-9)], isRank ? ends.reverse() : ends);
    const y = isRank ? plain : plain.nice(3);
    const draw = line<number | null>()
      .defined((value) => value !== null)
      .x((_, at) => x(at))
      .y((value) => y(value!));
    const last = values.findLastIndex((value) => value !== null);
    return {
      label,
      path: draw(values) ?? '',
      end: last < 0 ? null : { x: x(last), y: y(values[last]!) },
      ticks: (known.length === 0 ? [] : y.ticks(3)).map((value) => ({ at: y(value), text: tick(value) })),
      yAt: (day: number) => (values[day] == null ? null : y(values[day]!)),
    };
  });
  return { lines, x: (day) => x(day) };
}
