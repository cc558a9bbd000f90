import { shortNumber } from '../../charts';
import type { TrendSeries } from '../../charts';
import type { MeasureUnit } from '../../core/measures';
import { MICROS_PER_UNIT } from '../../core/units';
import { formatIn } from './formatValue';

/** A measure's values by day as a line of a trend. */
export function trendSeries(
  { label, unit, decimals }: { label: string; unit: MeasureUnit; decimals: number },
  values: (number | null)[],
): TrendSeries {
  return {
    label,
    values,
    show: (value) => formatIn(unit, value, decimals),
    tick: (value) =>
      unit === 'share'
        ? `${Number((value * 100).toPrecision(3))} %`
        : shortNumber(unit === 'money' ? value / MICROS_PER_UNIT : value),
  };
}
