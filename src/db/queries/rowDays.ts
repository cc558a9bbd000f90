import { lensNamed } from '../../core/lenses';
import type { LensName } from '../../core/lenses';
import type { Sums } from '../../core/measures';
import type { PeriodStep } from '../../core/lenses';
import type { RowPeriodColumns } from '../../contract/field';
import type { Query } from '../connection';
import { targetTable } from './targetTable';

/** Rows of a lens by id: targets, campaigns, ad groups or products; with `parts` also their terms, or placements (0-2). */
export interface RowKeys {
  lens: LensName;
  ids: number[];
  parts: number[];
}

/** Daily facts of the rows `keys`: the row number in `keys` is `k.n`. (In a value: a fragment that is awaited is run.) */
async function source(
  sql: Query,
  accountId: number,
  { lens, ids, parts }: RowKeys,
  from: string,
  to: string,
) {
  const facts = sql.unsafe(await targetTable(sql, accountId, from, to));
  const keys = sql`unnest(${ids}::integer[]) with ordinality as k(id, n)`;
  const pairs = sql`unnest(${ids}::integer[], ${parts}::integer[]) with ordinality as k(id, part, n)`;
  const structure = (column: string) => sql`
    ${keys}
    join mowing.ad_group g on g.account_id = ${accountId} and g.${sql.unsafe(column)} = k.id
    join mowing.target t on t.account_id = ${accountId} and t.ad_group_id = g.ad_group_id
    join mowing.${facts} f on f.account_id = ${accountId} and f.target_id = t.target_id`;
  switch (lensNamed(lens).entity) {
    case 'term':
      return {
        of: sql`${pairs} join mowing.term_day f on f.account_id = ${accountId} and f.target_id = k.id and f.term_id = k.part`,
      };
    case 'placement':
      return {
        of: sql`${pairs} join mowing.placement_day f on f.account_id = ${accountId} and f.campaign_id = k.id and f.placement = k.part`,
      };
    case 'campaign':
      return { of: structure('campaign_id') };
    case 'ad-group':
      return { of: structure('ad_group_id') };
    case 'product':
      return { of: structure('product_id') };
    case 'target':
      return {
        of: sql`${keys} join mowing.${facts} f on f.account_id = ${accountId} and f.target_id = k.id`,
      };
  }
}

/** The days of some rows together. Money in micros; days without figures are left out. */
export async function readRowDays(
  sql: Query,
  accountId: number,
  keys: RowKeys,
  from: string,
  to: string,
): Promise<(Sums & { day: string })[]> {
  const { of } = await source(sql, accountId, keys, from, to);
  return sql<(Sums & { day: string })[]>`
    select f.day, sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.spend_micros)::bigint as spend,
      sum(f.orders) as orders, sum(f.units) as units, sum(f.sales_micros)::bigint as sales
    from ${of} where f.day between ${from} and ${to} group by f.day order by f.day`;
}

const PERIOD_COLUMNS = ['n', 'start', 'impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;

/** What each row came to by week or month, as columns: row number (from 1), first day of the period, figures. Money in micros. */
export async function readRowPeriods(
  sql: Query,
  accountId: number,
  keys: RowKeys,
  { from, to, steps }: { from: string; to: string; steps: PeriodStep[] },
): Promise<RowPeriodColumns> {
  const { of } = await source(sql, accountId, keys, from, to);
  // A week may lie in two months: where both are asked for it is parted.
  const start = steps.map((step) => `date_trunc('${step}', f.day)`);
  const first = start.length > 1 ? `greatest(${start.join(', ')})` : start[0];
  const [columns] = await sql<RowPeriodColumns[]>`
    select ${sql.unsafe(PERIOD_COLUMNS.map((name) => `coalesce(json_agg(${name}), '[]') as ${name}`).join(', '))}
    from (
      select k.n::integer as n, (${sql.unsafe(first)})::date as start, sum(f.impressions)::bigint as impressions,
        sum(f.clicks)::bigint as clicks, sum(f.spend_micros)::bigint as spend, sum(f.orders)::bigint as orders,
        sum(f.units)::bigint as units, sum(f.sales_micros)::bigint as sales
      from ${of} where f.day between ${from} and ${to} group by 1, 2) s`;
  return columns;
}

/** Spend of each row by day, for lines as small as a cell: row number (from 1), day, micros. */
export async function readSparks(
  sql: Query,
  accountId: number,
  keys: RowKeys,
  from: string,
  to: string,
): Promise<{ n: number; day: string; spend: number }[]> {
  const { of } = await source(sql, accountId, keys, from, to);
  return sql<{ n: number; day: string; spend: number }[]>`
    select k.n::integer as n, f.day, sum(f.spend_micros)::bigint as spend
    from ${of} where f.day between ${from} and ${to} group by k.n, f.day`;
}
