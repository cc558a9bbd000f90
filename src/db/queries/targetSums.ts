import type { Query } from '../connection';

/** The sums of one target over a window and over the one before it, in the order of `TARGET_SUM_COLUMNS`. Money in micros. */
export const TARGET_SUM_COLUMNS = [
  'targetId',
  'impressions',
  'clicks',
  'spend',
  'orders',
  'units',
  'sales',
  'spendBefore',
  'clicksBefore',
  'salesBefore',
] as const;

export type TargetSumValues = number[];

/** The sums of every target with days in the windows. */
export async function readTargetSums(
  sql: Query,
  accountId: number,
  from: string,
  to: string,
  before: { from: string; to: string } | null,
): Promise<TargetSumValues[]> {
  const now = sql`filter (where f.day >= ${from})`;
  const old = sql`filter (where f.day < ${from})`;
  const first = before?.from ?? from;
  const rows =
    before === null
      ? sql`
        select f.target_id, sum(f.impressions), sum(f.clicks), sum(f.spend_micros)::bigint, sum(f.orders), sum(f.units),
               sum(f.sales_micros)::bigint, 0, 0, 0
        from mowing.target_day f where f.account_id = ${accountId} and f.day between ${from} and ${to} group by f.target_id`
      : sql`
        select f.target_id, coalesce(sum(f.impressions) ${now}, 0), coalesce(sum(f.clicks) ${now}, 0),
               coalesce(sum(f.spend_micros) ${now}, 0)::bigint, coalesce(sum(f.orders) ${now}, 0), coalesce(sum(f.units) ${now}, 0),
               coalesce(sum(f.sales_micros) ${now}, 0)::bigint, coalesce(sum(f.spend_micros) ${old}, 0)::bigint,
               coalesce(sum(f.clicks) ${old}, 0), coalesce(sum(f.sales_micros) ${old}, 0)::bigint
        from mowing.target_day f where f.account_id = ${accountId} and f.day between ${first} and ${to} group by f.target_id`;
  return (await rows.values()) as unknown as TargetSumValues[];
}
