import { HOURS } from '../budgets';
import { CELLS, WEEKDAYS } from './cells';
import type { HourCells } from './cells';
import type { Rhythm } from './rhythm';

/** A campaign that a schedule may be tried on. */
export interface TryOn {
  campaign: number;
  orders: number;
  /** How unlike the rest its hours are, in standard deviations; chance alone stays under 1.3 in nine of ten. */
  unlike: number;
}

const MOST = 5;
const LEAST_ORDERS = 30;
const UNLIKE = 1.2816;
const BLOCK = 3;

/** The campaigns to try a schedule on first: those with most orders, whose own hours do not differ from the pattern by more than chance. */
export function firstCampaigns(campaigns: ReadonlyMap<number, HourCells>, pattern: Rhythm): TryOn[] {
  return [...campaigns]
    .map(([campaign, cells]) => ({
      campaign,
      orders: cells.orders.reduce((sum, one) => sum + one, 0),
      unlike: unlikeOf(cells, pattern),
    }))
    .filter(({ orders, unlike }) => orders >= LEAST_ORDERS && unlike < UNLIKE)
    .sort((a, b) => b.orders - a.orders)
    .slice(0, MOST);
}

/** Pearson's statistic of orders by weekday and by three hours against the pattern, itself known so far, as a normal deviate (Wilson-Hilferty). */
function unlikeOf({ orders, expected }: HourCells, { factor, weekdaySd, hourSd }: Rhythm): number {
  let [all, told] = [0, 0];
  for (let cell = 0; cell < CELLS; cell += 1) {
    all += orders[cell];
    told += expected[cell] * factor[cell];
  }
  if (told <= 0) return 0;
  const statistic = (bins: number, binOf: (cell: number) => number, sdOf: (bin: number) => number) => {
    const [k, e] = [new Float64Array(bins), new Float64Array(bins)];
    for (let cell = 0; cell < CELLS; cell += 1) {
      k[binOf(cell)] += orders[cell];
      e[binOf(cell)] += (expected[cell] * factor[cell] * all) / told;
    }
    return k.reduce(
      (sum, one, bin) =>
        e[bin] > 0 ? sum + (one - e[bin]) ** 2 / (e[bin] + (e[bin] * sdOf(bin)) ** 2) : sum,
      0,
    );
  };
  const df = WEEKDAYS - 1 + HOURS / BLOCK - 1;
  const sum =
    statistic(
      WEEKDAYS,
      (cell) => Math.floor(cell / HOURS),
      (day) => weekdaySd[day],
    ) +
    statistic(
      HOURS / BLOCK,
      (cell) => Math.floor((cell % HOURS) / BLOCK),
      (block) => hourSd[block * BLOCK + 1],
    );
  const spread = 2 / (9 * df);
  return (Math.cbrt(sum / df) - (1 - spread)) / Math.sqrt(spread);
}
