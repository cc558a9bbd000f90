import type { GridCell, GridMargin } from '../../../charts';
import type { HourMeasure } from './measures';

type Told = ReturnType<HourMeasure['picture']>;

/** How far the first picture is from the second, hour by hour: ratios of what both know, as per cent more or less. Where either is not sure, it is hatched. */
export function differenceOf(
  picture: Told,
  before: Told,
  { base }: Pick<HourMeasure, 'base'>,
): Told & { base: number } {
  const ratio = (a: number | null, b: number | null) =>
    a !== null && b !== null && b > 0 && a > 0 ? a / b : null;
  const margin = (one: GridMargin, other: GridMargin): GridMargin => {
    const value = ratio(one.value, other.value);
    return { value, text: percent(value) };
  };
  return {
    base: 1,
    cells: picture.cells.map((one, at): GridCell => {
      const other = before.cells[at];
      const value = ratio(one.value, other.value);
      return {
        value,
        text: percent(value),
        tone: value === null ? 0 : Math.log(value) / FULL,
        // A shrunk factor is sure or not; plain sums are what they are.
        isSure: value !== null && (base !== 1 || one.isSure || other.isSure),
      };
    }),
    weekdays: picture.weekdays.map((one, at) => margin(one, before.weekdays[at])),
    hours: picture.hours.map((one, at) => margin(one, before.hours[at])),
  };
}

/** A ratio this far from 1 has the full colour. */
const FULL = 0.5;

const percent = (ratio: number | null): string => {
  if (ratio === null) return '–';
  const share = Math.round((ratio - 1) * 100);
  return share === 0 ? '0' : `${share > 0 ? '+' : '−'}${Math.abs(share)}`;
};
