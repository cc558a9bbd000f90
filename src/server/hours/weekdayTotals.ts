import type { HoursAnswer, HoursQuery } from '../../contract/hours';
import { marginOf } from '../../core/economics';
import { WEEKDAYS } from '../../core/hours';
import { daysIn } from '../../core/units';
import { listProducts } from '../../db/queries/economics';
import { sumWeekdaySales } from '../../db/queries/hours';
import { readTotalSales } from '../../db/queries/totalSales';
import { db } from '../context/context';
import { costsOf } from '../economics/products';

const HOURS = 24;

/**
 * All sales by weekday, and the profit that is left of them after ads where every product's margin is known. Null for a campaign (sales without ads are no
 * campaign's), and where the days are not all known.
 */
export async function weekdayTotals(
  asked: Omit<HoursQuery, 'weeks' | 'until'>,
  window: { from: string; to: string } | null,
  spend: readonly number[],
): Promise<HoursAnswer['totals']> {
  if (window === null || asked.scope === 'campaign') return null;
  const isKnown = (await readTotalSales(db(), asked.account, window)) !== null;
  if (!isKnown) return null;
  const [sold, products] = await Promise.all([
    sumWeekdaySales(db(), asked, window.from, window.to),
    listProducts(db(), asked.account),
  ]);
  if (sold.length === 0 || daysIn(window.from, window.to) < WEEKDAYS) return null;
  const margins = new Map(products.map((one) => [one.id, marginOf(costsOf(one))?.share ?? null]));
  const sales = new Array<number>(WEEKDAYS).fill(0);
  const profit = new Array<number>(WEEKDAYS).fill(0);
  let isWhole = true;
  for (const { productId, weekday, sales: one } of sold) {
    const margin = margins.get(productId) ?? null;
    sales[weekday] += one;
    if (margin === null) isWhole = isWhole && one === 0;
    else profit[weekday] += margin * one;
  }
  spend.forEach((one, cell) => (profit[Math.floor(cell / HOURS)] -= one));
  return { sales, profit: isWhole ? profit : null };
}
