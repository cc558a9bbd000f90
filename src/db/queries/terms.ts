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
  allClicks: 'all_clicks',
  allSpend: 'all_spend',
  allOrders: 'all_orders',
  allSales: 'all_sales',
  spend30: 'spend_30',
  sales30: 'sales_30',
  spend60: 'spend_60',
  sales60: 'sales_60',
  spend90: 'spend_90',
  sales90: 'sales_90',
};

/** Sums that are of the window alone, and of all days that count; each with what it is of a day. */
const FIGURES = {
  impressions: 'impressions',
  clicks: 'clicks',
  orders: 'orders',
  units: 'units',
  spend: 'spend_micros',
  sales: 'sales_micros',
};
/** Stretches of the last settled days. */
const RECENT = [30, 60, 90];
const sum = (of: string, days: string) => `coalesce(sum(f.${of}) filter (where ${days}), 0)::bigint`;
const IN_WINDOW = 'f.day between $2::date and $3::date';
const COUNTING = 'f.day between $4::date and $5::date';
const recent = (days: number) => `f.day between greatest($4::date, $5::date - ${days - 1}) and $5::date`;

const SUMS: Record<string, string> = {
  ...Object.fromEntries(Object.entries(FIGURES).map(([name, of]) => [name, sum(of, IN_WINDOW)])),
  ...Object.fromEntries(
    (['clicks', 'spend', 'orders', 'sales'] as const).map((name) => [
      `all_${name}`,
      sum(FIGURES[name], COUNTING),
    ]),
  ),
  ...Object.fromEntries(
    RECENT.flatMap((days) =>
      (['spend', 'sales'] as const).map((name) => [`${name}_${days}`, sum(FIGURES[name], recent(days))]),
    ),
  ),
};

/**
 * The search terms of a window by ad group, with the target that brought most clicks, most spend first: each column as
 * the text of a JSON list, printed by PostgreSQL.
 * @param counting the settled days that estimates stand on
 */
export async function readTermColumns(
  sql: Db,
  accountId: number,
  from: string,
  to: string,
  counting: { from: string; to: string },
): Promise<Record<keyof TermColumns, string>> {
  const printed = Object.entries(TERM_COLUMNS).map(([name, column]) =>
    name === 'term'
      ? `coalesce(json_agg(r.${column}), '[]')::text as "${name}"`
      : `'[' || coalesce(string_agg(r.${column}::text, ','), '') || ']' as "${name}"`,
  );
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<[Record<keyof TermColumns, string>]>(
      `with by_target as (
         select f.target_id, f.term_id, ${Object.entries(SUMS)
           .map(([name, of]) => `${of} as ${name}`)
           .join(', ')},
                count(*) filter (where f.clicks > 0 and ${IN_WINDOW}) as days, bool_or(${IN_WINDOW}) as is_in_window
         from mowing.term_day f
         where f.account_id = $1 and (${IN_WINDOW} or ${COUNTING})
         group by f.target_id, f.term_id
       ), by_ad_group as (
         select t.ad_group_id, b.term_id, (array_agg(b.target_id order by b.clicks desc, b.impressions desc))[1] as target_id,
                count(*) filter (where is_in_window) as targets, max(b.days) as days, ${Object.keys(SUMS)
                  .map((name) => `sum(b.${name}) as ${name}`)
                  .join(', ')}
         from by_target b join mowing.target t on t.account_id = $1 and t.target_id = b.target_id
         group by t.ad_group_id, b.term_id
         having bool_or(b.is_in_window)
       )
       select ${printed.join(', ')} from (
         select a.*, w.text, coalesce(w.first_day - date '1970-01-01', 0) as first_day, g.campaign_id
         from by_ad_group a
         join mowing.term w on w.account_id = $1 and w.term_id = a.term_id
         join mowing.ad_group g on g.account_id = $1 and g.ad_group_id = a.ad_group_id
         order by a.spend desc, a.term_id, a.ad_group_id) r`,
      [accountId, from, to, counting.from, counting.to],
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
