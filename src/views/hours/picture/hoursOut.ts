import type { HoursAnswer } from '../../../contract/hours';
import { MICROS_PER_UNIT } from '../../../core/units';

const HOURS = 24;

/** The hours of a week as they leave the page, a row each: sums of the window, money in currency units, the factor by which clicks sell. */
export function hoursOut(
  answer: HoursAnswer,
  currency: string,
  dayNames: readonly string[],
): { headings: string[]; rows: (string | number)[][] } {
  const { times, impressions, clicks, spend, orders, sales, factor, sd } = answer;
  return {
    headings: [
      'Weekday',
      'Hour',
      'Times',
      'Impressions',
      'Clicks',
      `Spend ${currency}`,
      'Orders',
      `Sales ${currency}`,
      'Sells',
      'Standard deviation of its logarithm',
    ],
    rows: clicks.map((one, cell) => [
      dayNames[Math.floor(cell / HOURS)],
      cell % HOURS,
      times[cell],
      impressions[cell],
      one,
      spend[cell] / MICROS_PER_UNIT,
      orders[cell],
      sales[cell] / MICROS_PER_UNIT,
      Number(factor[cell].toFixed(4)),
      Number(sd[cell].toFixed(4)),
    ]),
  };
}
