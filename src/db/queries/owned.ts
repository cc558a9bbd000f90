import type { Query } from '../connection';

/** What belongs to an account and is asked for by its id: table and column. */
const TABLES = {
  bale: ['mowing.bale', 'bale_id'],
  change: ['mowing.change', 'change_id'],
  job: ['mowing.job', 'job_id'],
  line: ['mowing.product_line', 'line_id'],
  product: ['mowing.product', 'product_id'],
  campaign: ['mowing.campaign', 'campaign_id'],
  'ad group': ['mowing.ad_group', 'ad_group_id'],
  target: ['mowing.target', 'target_id'],
  list: ['mowing.negative_list', 'list_id'],
  rule: ['mowing.rule', 'rule_id'],
} as const;

export type Owned = keyof typeof TABLES;

/** The first of some ids that an account does not have; undefined when it has them all. */
export async function findForeign(
  sql: Query,
  accountId: number,
  kind: Owned,
  ids: readonly number[],
): Promise<number | undefined> {
  const [table, column] = TABLES[kind];
  const rows = await sql<{ id: number }[]>`
    select w.id from unnest(${ids as number[]}::bigint[]) with ordinality as w(id, place)
    where not exists (select from ${sql(table)} t where t.account_id = ${accountId} and t.${sql(column)} = w.id)
    order by w.place limit 1`;
  return rows[0]?.id;
}
