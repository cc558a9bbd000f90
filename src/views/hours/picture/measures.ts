import type { GridCell, GridMargin } from '../../../charts';
import type { HoursAnswer } from '../../../contract/hours';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';

const HOURS = 24;
const DAYS = 7;
/** Half the width of an 80 % interval, in standard deviations. */
const Z80 = 1.2816;
/** A factor this far from 1 has the full colour. */
const FULL = 0.35;

/** What the grid shows of an hour. */
export interface HourMeasure {
  name: string;
  label: string;
  does: string;
  /** Where its bars begin. */
  base: number;
  picture: (answer: HoursAnswer) => { cells: GridCell[]; weekdays: GridMargin[]; hours: GridMargin[] };
}

type Sums = Pick<HoursAnswer, 'impressions' | 'clicks' | 'spend' | 'orders' | 'sales' | 'times'>;
type One = Record<keyof Sums, number>;

/** A ratio or a mean of sums, over cells, weekdays and hours alike. */
function ofSums(
  name: string,
  label: string,
  does: string,
  of: (sums: One) => number | null,
  format: (value: number) => string,
): HourMeasure {
  const at = (answer: Sums, cells: readonly number[]): number | null => {
    const sum = (list: readonly number[]) => cells.reduce((all, cell) => all + list[cell], 0);
    const { impressions, clicks, spend, orders, sales, times } = answer;
    return of({
      impressions: sum(impressions),
      clicks: sum(clicks),
      spend: sum(spend),
      orders: sum(orders),
      sales: sum(sales),
      times: sum(times),
    });
  };
  const all = Array.from({ length: HOURS * DAYS }, (_, cell) => cell);
  const text = (value: number | null) => (value === null ? DASH : format(value));
  return {
    name,
    label,
    does,
    base: 0,
    picture: (answer) => {
      const values = all.map((cell) => at(answer, [cell]));
      const most = values.reduce<number>((top, one) => Math.max(top, one ?? 0), 0);
      const margin = (cells: readonly number[]): GridMargin => {
        const value = at(answer, cells);
        return { value, text: text(value) };
      };
      return {
        cells: values.map((value) => ({
          value,
          text: text(value),
          tone: most > 0 ? (value ?? 0) / most : 0,
          isSure: value !== null,
        })),
        weekdays: Array.from({ length: DAYS }, (_, day) => margin(all.slice(day * HOURS, (day + 1) * HOURS))),
        hours: Array.from({ length: HOURS }, (_, hour) =>
          margin(all.filter((cell) => cell % HOURS === hour)),
        ),
      };
    },
  };
}

/** A factor as what it is more or less than usual: +12. */
const more = (factor: number) => {
  const share = Math.round((factor - 1) * 100);
  return share === 0 ? '0' : `${share > 0 ? '+' : '−'}${Math.abs(share)}`;
};

const factorMargin = (factor: number, sd: number): GridMargin => ({
  value: factor,
  low: factor * Math.exp(-Z80 * sd),
  high: factor * Math.exp(Z80 * sd),
  text: more(factor),
});

/** How well clicks sell, shrunk to what is sure. */
const SELLS: HourMeasure = {
  name: 'sells',
  label: 'How clicks sell',
  does: 'Per cent more or less than usual, shrunk to what is sure',
  base: 1,
  picture: ({ factor, sd, weekday, weekdaySd, hour, hourSd }) => ({
    cells: factor.map((one, cell) => ({
      value: one,
      text: more(one),
      tone: Math.log(one) / FULL,
      isSure: Math.abs(Math.log(one)) > Z80 * sd[cell],
    })),
    weekdays: weekday.map((one, day) => factorMargin(one, weekdaySd[day])),
    hours: hour.map((one, at) => factorMargin(one, hourSd[at])),
  }),
};

const whole = (value: number) => (value >= 100 ? formatCount(Math.round(value)) : value.toFixed(1));
const money = (micros: number) =>
  micros >= 100e6 ? formatCount(Math.round(micros / 1e6)) : formatMoney(micros);
const over = (a: number, b: number) => (b > 0 ? a / b : null);

export const HOUR_MEASURES: readonly HourMeasure[] = [
  SELLS,
  ofSums('clicks', 'Clicks', 'In an hour, on average', ({ clicks, times }) => over(clicks, times), whole),
  ofSums('spend', 'Spend', 'In an hour, on average', ({ spend, times }) => over(spend, times), money),
  ofSums('sales', 'Ad sales', 'In an hour, on average', ({ sales, times }) => over(sales, times), money),
  ofSums(
    'conversion',
    'Conversion',
    'Orders of a hundred clicks, as they came',
    ({ orders, clicks }) => over(orders, clicks),
    (one) => formatShare(one, 1).replace(' %', ''),
  ),
  ofSums('cpc', 'CPC', 'What a click costs', ({ spend, clicks }) => over(spend, clicks), formatMoney),
  ofSums('order', 'Order value', 'Sales of an order', ({ sales, orders }) => over(sales, orders), money),
  ofSums(
    'acos',
    'ACOS',
    'Per cent, as they came',
    ({ spend, sales }) => over(spend, sales),
    (one) => formatShare(one, 0).replace(' %', ''),
  ),
];
