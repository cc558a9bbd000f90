import { columnOf } from '../../contract/packed';
import { KEYWORD_MATCHES } from '../../core/matching';
import { TARGET_KINDS, TARGET_STATES, toTargets } from '../../core/structure';
import type { AdGroup, Campaign, Negative, Target, TargetColumns } from '../../core/structure';
import type { Query } from '../connection';

export async function listCampaigns(sql: Query, accountId: number): Promise<Campaign[]> {
  return sql<Campaign[]>`
    select campaign_id as id, name, state from mowing.campaign where account_id = ${accountId} order by campaign_id`;
}

export async function listAdGroups(sql: Query, accountId: number): Promise<AdGroup[]> {
  return sql<AdGroup[]>`
    select ad_group_id as id, campaign_id as "campaignId", name, state, product_id as "productId"
    from mowing.ad_group where account_id = ${accountId} order by ad_group_id`;
}

/** All targets of an account, by id. */
export async function readTargets(sql: Query, accountId: number): Promise<TargetColumns> {
  const place = (words: readonly string[], column: string) =>
    sql`coalesce(array_position(${words}::text[], ${sql.unsafe(column)}) - 1, -1)`;
  const [row] = await sql<[Record<keyof TargetColumns, string | null>]>`
    select string_agg(id::text, ',') as id, string_agg("adGroupId"::text, ',') as "adGroupId", string_agg(kind::text, ',') as kind,
      string_agg(match::text, ',') as match, string_agg(state::text, ',') as state, string_agg(bid::text, ',') as bid,
      json_agg(expression)::text as expression
    from (
      select target_id as id, ad_group_id as "adGroupId", ${place(TARGET_KINDS, 'kind')} as kind, ${place(KEYWORD_MATCHES, 'match')} as match,
        ${place(TARGET_STATES, 'state')} as state, coalesce(bid_micros, -1) as bid, expression
      from mowing.target where account_id = ${accountId} order by target_id) t`;
  const numbers = (name: keyof TargetColumns) => columnOf(row[name] ?? '');
  return {
    id: numbers('id'),
    adGroupId: numbers('adGroupId'),
    kind: numbers('kind'),
    match: numbers('match'),
    state: numbers('state'),
    bid: numbers('bid'),
    expression: JSON.parse(row.expression ?? '[]') as string[],
  };
}

export const listTargets = async (sql: Query, accountId: number): Promise<Target[]> =>
  toTargets(await readTargets(sql, accountId));

export async function listNegatives(sql: Query, accountId: number): Promise<Negative[]> {
  return sql<Negative[]>`
    select negative_id as id, campaign_id as "campaignId", ad_group_id as "adGroupId", match, expression, state
    from mowing.negative where account_id = ${accountId} order by negative_id`;
}

/** The market's ids of some entities, by our ids. */
export async function marketIds(
  sql: Query,
  accountId: number,
  table: 'campaign' | 'ad_group' | 'ad' | 'target' | 'negative' | 'product' | 'schedule',
  ids: number[],
): Promise<Map<number, string | null>> {
  const id = sql.unsafe(`${table}_id`);
  const rows = await sql<{ id: number; marketId: string | null }[]>`
    select ${id} as id, market_id as "marketId" from mowing.${sql.unsafe(table)}
    where account_id = ${accountId} and ${id} = any(${ids}::integer[])`;
  return new Map(rows.map((row) => [row.id, row.marketId]));
}

/** Targets as the market's suggestions are asked for: with the market's id of their ad group. Those without one are left out. */
export async function listTargetsToSuggest(sql: Query, accountId: number, ids: number[]) {
  return sql<
    {
      id: number;
      adGroupId: string;
      kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
      match: Target['match'];
      expression: string;
    }[]
  >`
    select t.target_id as id, g.market_id as "adGroupId", t.kind, t.match, t.expression
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where t.account_id = ${accountId} and t.target_id = any(${ids}::integer[]) and g.market_id is not null and t.kind <> 'unknown'`;
}
