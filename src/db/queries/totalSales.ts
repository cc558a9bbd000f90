import { daysIn } from '../../core/units';
import type { Query } from '../connection';

/** All sales of each product over a window, with ads or without; null where the days of the window are not all known. Micros. */
export async function readTotalSales(
  sql: Query,
  accountId: number,
  { from, to }: { from: string; to: string },
): Promise<{ id: number[]; sales: number[] } | null> {
  const rows = await sql<{ id: number; sales: number }[]>`
    select product_id as id, sum(sales_micros)::bigint as sales from mowing.product_day
    where account_id = ${accountId} and day between ${from} and ${to} group by product_id`;
  if (rows.length === 0) return null;
  const [{ days }] = await sql<{ days: number }[]>`
    select count(distinct day)::integer as days from mowing.product_day
    where account_id = ${accountId} and day between ${from} and ${to}`;
  return days < daysIn(from, to)
    ? null
    : { id: rows.map(({ id }) => id), sales: rows.map(({ sales }) => sales) };
}
