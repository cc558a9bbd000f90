import { STANDINGS } from './lensTable';
import type { LensTable, Standing } from './lensTable';

/** How many rows stand so, what they spend and sell, and what they lose (or gain, below zero) against their target. */
export interface StandingSum {
  standing: Standing;
  count: number;
  spend: number;
  sales: number;
  loss: number;
}

/** The rows sorted by evidence: earning, near the line, losing, too early to say. Money in micros of the window. */
export function sumStandings(table: LensTable, rows: ArrayLike<number>): StandingSum[] {
  const sums = STANDINGS.map((standing) => ({ standing, count: 0, spend: 0, sales: 0, loss: 0 }));
  const { spend, sales } = table.now;
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at];
    const sum = sums[table.standing[row]];
    const target = table.targetAcos[row];
    sum.count += 1;
    sum.spend += spend[row];
    sum.sales += sales[row];
    if (!Number.isNaN(target)) sum.loss += spend[row] - target * sales[row];
  }
  return sums;
}
