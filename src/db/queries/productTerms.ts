import type { Query } from '../connection';

/** What a search term brought the ads of some products, over a window. Money in micros. */
export interface ProductTerm {
  text: string;
  impressions: number;
  clicks: number;
  spend: number;
  orders: number;
  units: number;
  sales: number;
}

const MOST = 20_000;

/** Search terms that the ads of products were clicked for, the most sales first. @param without campaigns that are left out */
export async function listProductTerms(
  sql: Query,
  accountId: number,
  products: number[],
  { from, to, without = [] }: { from: string; to: string; without?: readonly number[] },
): Promise<ProductTerm[]> {
  return sql<ProductTerm[]>`
    with own as materialized (
      select t.target_id from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where t.account_id = ${accountId} and g.product_id = any(${products}::integer[]) and g.campaign_id <> all(${[...without]}::integer[]))
    select x.text, sum(f.impressions)::bigint as impressions, sum(f.clicks)::bigint as clicks, sum(f.spend_micros)::bigint as spend,
      sum(f.orders)::bigint as orders, sum(f.units)::bigint as units, sum(f.sales_micros)::bigint as sales
    from mowing.term_day f join own o on o.target_id = f.target_id
    join mowing.term x on x.account_id = f.account_id and x.term_id = f.term_id
    where f.account_id = ${accountId} and f.day between ${from} and ${to}
    group by 1 having sum(f.clicks) > 0 order by sum(f.sales_micros) desc, sum(f.clicks) desc, 1 limit ${MOST}`;
}
