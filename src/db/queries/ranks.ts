import { columnOf } from '../../contract/packed';
import type { ProductSalesDay, RankedTerm, TermAds } from '../../core/rank';
import type { Query } from '../connection';
import { readByPair, readColumns } from './byPair';

/** Organic ranks of a window by product and term, terms in the order of their words. */
export async function listRanks(
  sql: Query,
  accountId: number,
  { from, to }: { from: string; to: string },
  only?: { productId: number; termId?: number },
): Promise<RankedTerm[]> {
  const rows = sql`
    select r.product_id, r.term_id, r.day - ${from}::date as at, r.organic_rank, r.weekly_searches
    from mowing.rank_day r where r.account_id = ${accountId} and r.day between ${from} and ${to}
      ${only ? sql`and r.product_id = ${only.productId}` : sql``}
      ${only?.termId === undefined ? sql`` : sql`and r.term_id = ${only.termId}`}
    order by 1, 2, 3`;
  const columns = { at: 'at', rank: 'organic_rank', searches: 'weekly_searches' };
  const pairs = await readByPair(sql, rows, columns);
  const { id, text } = await readTermTexts(sql, accountId, [...new Set(pairs.map(({ termId }) => termId))]);
  const texts = new Map(text.map((one, at) => [id[at], one]));
  return pairs
    .map((pair) => ({ ...pair, text: texts.get(pair.termId) ?? '' }))
    .sort((a, b) => a.productId - b.productId || (a.text < b.text ? -1 : a.text > b.text ? 1 : 0));
}

/** The first and the last day of an account's ranks; null where none were told. */
export async function findRankDays(
  sql: Query,
  accountId: number,
): Promise<{ from: string; to: string } | null> {
  const [row] = await sql<{ from: string | null; to: string | null }[]>`
    select min(day) as from, max(day) as to from mowing.rank_day where account_id = ${accountId}`;
  return row.from === null || row.to === null ? null : { from: row.from, to: row.to };
}

/** Search terms of an account, as they were written: all, or those of some ids. */
export async function readTermTexts(
  sql: Query,
  accountId: number,
  only?: readonly number[],
): Promise<{ id: Int32Array | Float64Array; text: string[] }> {
  const [row] = await sql<[{ id: string | null; text: string | null }]>`
    select string_agg(term_id::text, ',') as id, json_agg(text)::text as text from (
      select term_id, text from mowing.term
      where account_id = ${accountId} ${only ? sql`and term_id = any(${only as number[]}::integer[])` : sql``} order by term_id) x`;
  return { id: columnOf(row.id ?? ''), text: JSON.parse(row.text ?? '[]') as string[] };
}

const AD_COLUMNS = {
  at: 'at',
  impressions: 'impressions',
  clicks: 'clicks',
  spend: 'spend_micros',
  orders: 'orders',
  units: 'units',
  sales: 'sales_micros',
} as const;

/** What ads brought by product, term and day; ad groups of several products are left out: whose it was is not known. */
export async function listTermAds(
  sql: Query,
  accountId: number,
  terms: readonly number[],
  { from, to }: { from: string; to: string },
): Promise<TermAds[]> {
  const rows = sql`
    select g.product_id, f.term_id, f.day - ${from}::date as at, sum(f.impressions) as impressions, sum(f.clicks) as clicks,
      mowing.sum_micros(f.spend_micros) as spend_micros, sum(f.orders) as orders, sum(f.units) as units,
      mowing.sum_micros(f.sales_micros) as sales_micros
    from mowing.term_day f
    join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
    join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where f.account_id = ${accountId} and f.day between ${from} and ${to} and f.term_id = any(${terms as number[]}::integer[])
      and g.product_id is not null
    group by 1, 2, 3 order by 1, 2, 3`;
  return readByPair(sql, rows, AD_COLUMNS);
}

/** Days of products whose sales are known whole. */
export async function listProductSales(
  sql: Query,
  accountId: number,
  { from, to }: { from: string; to: string },
  productId?: number,
): Promise<ProductSalesDay[]> {
  const own = (column: string) => (productId === undefined ? sql`` : sql`and ${sql(column)} = ${productId}`);
  const columns = await readColumns(
    sql,
    sql`
    with ads as (
      select g.product_id, f.day, sum(f.clicks) as clicks, sum(f.orders) as orders, mowing.sum_micros(f.spend_micros) as spend,
        mowing.sum_micros(f.sales_micros) as sales
      from mowing.target_day f
      join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
      join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where f.account_id = ${accountId} and f.day between ${from} and ${to} and g.product_id is not null ${own('g.product_id')}
      group by 1, 2)
    select p.product_id, p.day - ${from}::date as at, p.orders, p.sales_micros as sales, coalesce(a.clicks, 0) as ad_clicks,
      coalesce(a.orders, 0) as ad_orders, coalesce(a.spend, 0) as ad_spend, coalesce(a.sales, 0) as ad_sales
    from mowing.product_day p left join ads a on a.product_id = p.product_id and a.day = p.day
    where p.account_id = ${accountId} and p.day between ${from} and ${to} ${own('p.product_id')}
    order by 1, 2`,
    SALES_COLUMNS,
  );
  return Array.from(columns.at, (at, row) => ({
    productId: columns.productId[row],
    at,
    orders: columns.orders[row],
    sales: columns.sales[row],
    adClicks: columns.adClicks[row],
    adOrders: columns.adOrders[row],
    adSpend: columns.adSpend[row],
    adSales: columns.adSales[row],
  }));
}

const SALES_COLUMNS = {
  productId: 'product_id',
  at: 'at',
  orders: 'orders',
  sales: 'sales',
  adClicks: 'ad_clicks',
  adOrders: 'ad_orders',
  adSpend: 'ad_spend',
  adSales: 'ad_sales',
} as const;

/** Targets that caught a term for a product in a window. */
export async function listTargetsOfTerm(
  sql: Query,
  accountId: number,
  productId: number,
  termId: number,
  { from, to }: { from: string; to: string },
): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select distinct f.target_id as id from mowing.term_day f
    join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
    join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where f.account_id = ${accountId} and f.day between ${from} and ${to} and f.term_id = ${termId} and g.product_id = ${productId}`;
  return rows.map(({ id }) => id);
}
