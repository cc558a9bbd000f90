import type { HoursQuery } from '../../contract/hours';
import type { Query } from '../connection';

/** Figures of a campaign in an hour of the week. Money in micros. */
export interface CampaignWeekHour {
  campaign: number;
  cell: number;
  impressions: number;
  clicks: number;
  orders: number;
  spend: number;
  sales: number;
}

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
export const listWeekHours = (
  sql: Query,
  { account, scope, scopeId }: Omit<HoursQuery, 'weeks' | 'until'>,
  from: string,
  to: string,
) => {
  const product = {
    line: sql`p.line_id = ${scopeId}`,
    product: sql`p.product_id = ${scopeId}`,
  };
  const only =
    scope === 'account'
      ? sql`true`
      : scope === 'campaign'
        ? sql`h.campaign_id = ${scopeId}`
        : sql`h.campaign_id in (
            select g.campaign_id from mowing.ad_group g
            join mowing.product p on p.account_id = g.account_id and p.product_id = g.product_id
            where g.account_id = ${account} and ${product[scope]})`;
  return sql<CampaignWeekHour[]>`
    select h.campaign_id as campaign, ((extract(isodow from h.day)::integer - 1) * 24 + h.hour) as cell,
      sum(h.impressions)::integer as impressions, sum(h.clicks)::integer as clicks, sum(h.orders)::integer as orders,
      sum(h.spend_micros)::bigint as spend, sum(h.sales_micros)::bigint as sales
    from mowing.campaign_hour h
    where h.account_id = ${account} and h.day between ${from} and ${to} and ${only}
    group by 1, 2`;
};

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
