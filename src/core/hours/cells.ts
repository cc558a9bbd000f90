import { HOURS } from '../budgets';

export const WEEKDAYS = 7;
/** Hours of a week. A cell is weekday x 24 + hour; weekday 0 is Monday, hours are the account's. */
export const CELLS = WEEKDAYS * HOURS;

/** Clicks and orders of campaigns by hour of the week, as columns. */
export interface HourRows {
  campaign: ArrayLike<number>;
  cell: ArrayLike<number>;
  clicks: ArrayLike<number>;
  orders: ArrayLike<number>;
}

/** What came in each hour of the week, beside what was to be expected of its clicks. */
export interface HourCells {
  clicks: Float64Array;
  orders: Float64Array;
  /** Orders that the clicks of the hour would bring were all hours alike; they come to as many as there were. */
  expected: Float64Array;
}

/** A campaign's own rate counts beside the account's like so many orders. */
const OWN_ORDERS = 20;

/**
 * Sums rows by hour of the week. Campaigns sell unlike, and run at unlike hours: what is expected of an hour is its clicks at the rate of their campaign,
 * (orders + 20) / (clicks + 20 / rate of all).
 */
export function hourCells(rows: HourRows): HourCells {
  const cells = {
    clicks: new Float64Array(CELLS),
    orders: new Float64Array(CELLS),
    expected: new Float64Array(CELLS),
  };
  const byCampaign = new Map<number, { clicks: number; orders: number }>();
  let [clicks, orders] = [0, 0];
  for (let row = 0; row < rows.cell.length; row += 1) {
    const own = byCampaign.get(rows.campaign[row]) ?? { clicks: 0, orders: 0 };
    own.clicks += rows.clicks[row];
    own.orders += rows.orders[row];
    byCampaign.set(rows.campaign[row], own);
    clicks += rows.clicks[row];
    orders += rows.orders[row];
  }
  if (orders === 0) return cells;
  const rate = orders / clicks;
  for (let row = 0; row < rows.cell.length; row += 1) {
    const own = byCampaign.get(rows.campaign[row])!;
    const cell = rows.cell[row];
    cells.clicks[cell] += rows.clicks[row];
    cells.orders[cell] += rows.orders[row];
    cells.expected[cell] += (rows.clicks[row] * (own.orders + OWN_ORDERS)) / (own.clicks + OWN_ORDERS / rate);
  }
  const scale = orders / cells.expected.reduce((sum, one) => sum + one, 0);
  for (let cell = 0; cell < CELLS; cell += 1) cells.expected[cell] *= scale;
  return cells;
}
