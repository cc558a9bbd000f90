import type { TermDays } from '../../contract/api';
import type { Query } from '../connection';

/** One search term in one ad group over a window, as a list in the order of `TERM_ROW_COLUMNS`. Money in micros. */
export type TermRowValues = [
  termId: number,
  term: string,
  adGroupId: number,
  campaignId: number,
  targetId: number,
  targetCount: number,
  impressions: number,
  clicks: number,
  spend: number,
  orders: number,
  units: number,
  sales: number,
];

/** The search terms of a window by ad group, with the target that brought most clicks. */
export async function readTermRows(
  sql: Query,
  accountId: number,
  from: string,
  to: string,
): Promise<TermRowValues[]> {
  const rows = await sql`
    with by_target as (
      select f.target_id, f.term_id, sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.orders) as orders,
             sum(f.units) as units, sum(f.spend_micros) as spend, sum(f.sales_micros) as sales
      from mowing.term_day f where f.account_id = ${accountId} and f.day between ${from} and ${to}
      group by f.target_id, f.term_id
    ), by_ad_group as (
      select t.ad_group_id, b.term_id, (array_agg(b.target_id order by b.clicks desc, b.impressions desc))[1] as target_id,
             count(*) as targets, sum(b.impressions) as impressions, sum(b.clicks) as clicks, sum(b.spend) as spend,
             sum(b.orders) as orders, sum(b.units) as units, sum(b.sales) as sales
      from by_target b join mowing.target t on t.account_id = ${accountId} and t.target_id = b.target_id
      group by t.ad_group_id, b.term_id
    )
    select a.term_id, w.text, a.ad_group_id, g.campaign_id, a.target_id, a.targets, a.impressions, a.clicks, a.spend,
           a.orders, a.units, a.sales
    from by_ad_group a
    join mowing.term w on w.account_id = ${accountId} and w.term_id = a.term_id
    join mowing.ad_group g on g.account_id = ${accountId} and g.ad_group_id = a.ad_group_id
    order by a.spend desc, a.term_id, a.ad_group_id`.values();
  return rows as unknown as TermRowValues[];
}

/** The days of a term in an ad group, up to `to`, all that there are since `from`. */
export async function readTermDays(
  sql: Query,
  at: { accountId: number; adGroupId: number; termId: number; from: string; to: string },
): Promise<TermDays['days']> {
  return sql<TermDays['days']>`
    select f.day, sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.spend_micros) as spend,
           sum(f.orders) as orders, sum(f.units) as units, sum(f.sales_micros) as sales
    from mowing.target t join mowing.term_day f on f.account_id = t.account_id and f.target_id = t.target_id
    where t.account_id = ${at.accountId} and t.ad_group_id = ${at.adGroupId} and f.term_id = ${at.termId}
      and f.day between ${at.from} and ${at.to}
    group by f.day order by f.day`;
}
