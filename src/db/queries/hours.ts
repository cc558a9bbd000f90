import type { HoursQuery } from '../../contract/hours';
import type { Db, Query } from '../connection';
import { readColumns } from './numberColumns';
import type { NumberColumns } from './numberColumns';
import { sumOf } from './sumOf';

/** Figures of campaigns by hour of the week, as columns. Money in micros. */
export const WEEK_HOUR_COLUMNS = [
  'campaign',
  'cell',
  'impressions',
  'clicks',
  'orders',
  'spend',
  'sales',
] as const;
export type WeekHours = NumberColumns<(typeof WEEK_HOUR_COLUMNS)[number]>;

/** First and last day with hours; nulls without any. */
export async function spanOfHours(
  sql: Query,
  accountId: number,
): Promise<{ first: string | null; last: string | null }> {
  const [row] = await sql<{ first: string | null; last: string | null }[]>`
    select min(first_day) as first, max(last_day) as last from mowing.coverage where account_id = ${accountId} and kind = 'hours'`;
  return row;
}

/** Sums of each campaign by hour of the week: weekday x 24 + hour, weekday 0 Monday. A line's or product's campaigns are those with an ad group that advertises it first. */
export function readWeekHours(
  sql: Db,
  { account, scope, scopeId }: Omit<HoursQuery, 'weeks' | 'until'>,
  from: string,
  to: string,
): Promise<WeekHours> {
  const id = Math.trunc(scopeId);
  const advertises = (what: string) => `h.campaign_id in (
    select g.campaign_id from mowing.ad_group g
    join mowing.product p on p.account_id = g.account_id and p.product_id = g.product_id
    where g.account_id = $1 and p.${what} = ${id})`;
  const only = {
    account: 'true',
    campaign: `h.campaign_id = ${id}`,
    line: advertises('line_id'),
    product: advertises('product_id'),
  }[scope];
  // 1 January 2024 was a Monday: days counted from there are far cheaper to tell weekdays from than dates.
  return readColumns(
    sql,
    [account, from, to],
    WEEK_HOUR_COLUMNS,
    `select h.campaign_id as campaign, mod(mod(h.day - date '2024-01-01', 7) + 7, 7) * 24 + h.hour as cell, sum(h.impressions) as impressions,
       sum(h.clicks) as clicks, sum(h.orders) as orders, ${sumOf('h.spend_micros')} as spend, ${sumOf('h.sales_micros')} as sales
     from mowing.campaign_hour h
     where h.account_id = $1 and h.day between $2::date and $3::date and ${only}
     group by 1, 2`,
  );
}

/** All sales of each product of an account, a line, or one product alone, by weekday, 0 Monday; micros. */
export const sumWeekdaySales = (
  sql: Query,
  { account, scope, scopeId }: Omit<HoursQuery, 'weeks' | 'until'>,
  from: string,
  to: string,
) =>
  sql<{ productId: number; weekday: number; sales: number; days: number }[]>`
    select d.product_id as "productId", (extract(isodow from d.day)::integer - 1) as weekday, sum(d.sales_micros)::bigint as sales,
      count(distinct d.day)::integer as days
    from mowing.product_day d join mowing.product p on p.account_id = d.account_id and p.product_id = d.product_id
    where d.account_id = ${account} and d.day between ${from} and ${to}
      and ${scope === 'line' ? sql`p.line_id = ${scopeId}` : scope === 'product' ? sql`p.product_id = ${scopeId}` : sql`true`}
    group by 1, 2`;
