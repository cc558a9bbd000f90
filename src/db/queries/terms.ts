import type { TermColumns, TermDays } from '../../contract/review';
import type { Db, Query } from '../connection';
import { withRoom } from './withRoom';

/** The columns of search terms by ad group, and what they are in the query below. Money in micros. */
const TERM_COLUMNS: Record<keyof TermColumns, string> = {
  termId: 'term_id',
  term: 'text',
  adGroupId: 'ad_group_id',
  campaignId: 'campaign_id',
  targetId: 'target_id',
  targetCount: 'targets',
  days: 'days',
  firstDay: 'first_day',
  impressions: 'impressions',
  clicks: 'clicks',
  spend: 'spend',
  orders: 'orders',
  units: 'units',
  sales: 'sales',
};

/**
 * The search terms of a window by ad group, with the target that brought most clicks, most spend first: each column as
 * the text of a JSON list, printed by PostgreSQL.
 */
export async function readTermColumns(
  sql: Db,
  accountId: number,
  from: string,
  to: string,
): Promise<Record<keyof TermColumns, string>> {
  const printed = Object.entries(TERM_COLUMNS).map(([name, column]) =>
    name === 'term'
      ? `coalesce(json_agg(r.${column}), '[]')::text as "${name}"`
      : `'[' || coalesce(string_agg(r.${column}::text, ','), '') || ']' as "${name}"`,
  );
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<[Record<keyof TermColumns, string>]>(
      `with by_target as (
         select f.target_id, f.term_id, sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.orders) as orders,
                sum(f.units) as units, sum(f.spend_micros)::bigint as spend, sum(f.sales_micros)::bigint as sales,
                count(*) filter (where f.clicks > 0) as days
         from mowing.term_day f where f.account_id = $1 and f.day between $2::date and $3::date
         group by f.target_id, f.term_id
       ), by_ad_group as (
         select t.ad_group_id, b.term_id, (array_agg(b.target_id order by b.clicks desc, b.impressions desc))[1] as target_id,
                count(*) as targets, sum(b.impressions) as impressions, sum(b.clicks) as clicks, sum(b.spend) as spend,
                sum(b.orders) as orders, sum(b.units) as units, sum(b.sales) as sales, max(b.days) as days
         from by_target b join mowing.target t on t.account_id = $1 and t.target_id = b.target_id
         group by t.ad_group_id, b.term_id
       )
       select ${printed.join(', ')} from (
         select a.*, w.text, coalesce(w.first_day - date '1970-01-01', 0) as first_day, g.campaign_id
         from by_ad_group a
         join mowing.term w on w.account_id = $1 and w.term_id = a.term_id
         join mowing.ad_group g on g.account_id = $1 and g.ad_group_id = a.ad_group_id
         order by a.spend desc, a.term_id, a.ad_group_id) r`,
      [accountId, from, to],
    ),
  );
  return row;
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
