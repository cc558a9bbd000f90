import type { Query } from '../connection';

/** What a list says of a target (or of a campaign alone): null leaves a value as it is. Money in micros. */
export interface EntityValues {
  targetId: number | null;
  campaignId: number | null;
  adGroupName: string | null;
  bid: number | null;
  state: string | null;
  defaultBid: number | null;
  adGroupState: string | null;
  budget: number | null;
  /** What a budget is for; a budget of which nothing tells it is one a day. */
  budgetKind: string | null;
  campaignState: string | null;
  /** Raise of bids by placement, as shares. */
  top: number | null;
  rest: number | null;
  pages: number | null;
  /** What the target's ad group advertises. */
  productId: number | null;
}

/** Where the targets of a list stand. */
export async function placesOfTargets(
  sql: Query,
  accountId: number,
  list: readonly EntityValues[],
): Promise<Map<number, { adGroupId: number; campaignId: number }>> {
  const ids = list.flatMap(({ targetId }) => targetId ?? []);
  const rows = await sql<{ id: number; adGroupId: number; campaignId: number }[]>`
    select t.target_id as id, t.ad_group_id as "adGroupId", g.campaign_id as "campaignId"
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where t.account_id = ${accountId} and t.target_id = any(${ids}::integer[])`;
  return new Map(rows.map(({ id, ...place }) => [id, place]));
}

/** Sets bids, budgets and states of entities. @returns how many rows of the list changed anything */
export async function setEntityValues(tx: Query, accountId: number, list: EntityValues[]): Promise<number> {
  await tx`
    create temp table listed on commit drop as
    select row_number() over () as place, e.*, t.ad_group_id, coalesce(e."campaignId", g.campaign_id) as campaign_id, false as changed
    from jsonb_to_recordset(${JSON.stringify(list)}::text::jsonb) as e("targetId" integer, "campaignId" integer, "adGroupName" text,
      bid bigint, state text, "defaultBid" bigint, "adGroupState" text, budget bigint, "budgetKind" text, "campaignState" text, top float8, rest float8, pages float8, "productId" integer)
    left join mowing.target t on t.account_id = ${accountId} and t.target_id = e."targetId"
    left join mowing.ad_group g on g.account_id = ${accountId} and g.ad_group_id = t.ad_group_id`;
  await tx`
    update listed l set changed = true
    from mowing.campaign c
    left join mowing.ad_group g on g.account_id = c.account_id and g.campaign_id = c.campaign_id
    left join mowing.target t on t.account_id = c.account_id and t.ad_group_id = g.ad_group_id
    where c.account_id = ${accountId} and c.campaign_id = l.campaign_id and g.ad_group_id is not distinct from coalesce(l.ad_group_id, g.ad_group_id)
      and t.target_id is not distinct from coalesce(l."targetId", t.target_id)
      and ((l.bid, l.state) is distinct from (case when l.bid is null then null else t.bid_micros end, case when l.state is null then null else t.state end)
        and l."targetId" is not null
        or (l."defaultBid", l."adGroupState") is distinct from (case when l."defaultBid" is null then null else g.default_bid_micros end, case when l."adGroupState" is null then null else g.state end)
        and l.ad_group_id is not null
        or l."productId" is distinct from (case when l."productId" is null then null else g.product_id end)
        or (l.top, l.rest, l.pages) is distinct from (case when l.top is null then null else c.top_modifier end,
          case when l.rest is null then null else c.rest_modifier end, case when l.pages is null then null else c.pages_modifier end)
        or not c.modifiers_known and l.top is not null and l.rest is not null and l.pages is not null
        or (l.budget, l."budgetKind", l."campaignState") is distinct from (case when l.budget is null then null else c.budget_micros end,
          case when l."budgetKind" is null then null else c.budget_kind end, case when l."campaignState" is null then null else c.state end))`;
  await tx`
    update mowing.target t set bid_micros = coalesce(l.bid, t.bid_micros), state = coalesce(l.state, t.state)
    from listed l where t.account_id = ${accountId} and t.target_id = l."targetId" and l.changed`;
  // Several rows may name one ad group or campaign; the last that says something counts.
  const last = (column: string) =>
    tx.unsafe(`(array_agg(${column} order by place desc) filter (where ${column} is not null))[1]`);
  await tx`
    update mowing.ad_group g set default_bid_micros = coalesce(l.bid, g.default_bid_micros), state = coalesce(l.state, g.state),
      product_id = coalesce(l.product_id, g.product_id)
    from (select ad_group_id, ${last('"defaultBid"')} as bid, ${last('"adGroupState"')} as state, ${last('"productId"')} as product_id from listed where ad_group_id is not null group by 1) l
    where g.account_id = ${accountId} and g.ad_group_id = l.ad_group_id`;
  await tx`
    update mowing.campaign c set budget_micros = coalesce(l.budget, c.budget_micros), state = coalesce(l.state, c.state),
      budget_kind = coalesce(l.kind, c.budget_kind, case when l.budget is not null then 'daily' end),
      top_modifier = coalesce(l.top, c.top_modifier), rest_modifier = coalesce(l.rest, c.rest_modifier),
      pages_modifier = coalesce(l.pages, c.pages_modifier),
      modifiers_known = c.modifiers_known or (l.top is not null and l.rest is not null and l.pages is not null)
    from (select campaign_id, ${last('budget')} as budget, ${last('"budgetKind"')} as kind, ${last('"campaignState"')} as state,
      ${last('top')} as top, ${last('rest')} as rest, ${last('pages')} as pages from listed group by 1) l
    where c.account_id = ${accountId} and c.campaign_id = l.campaign_id`;
  const [{ count }] = await tx<
    { count: number }[]
  >`select count(*) filter (where changed)::integer as count from listed`;
  await tx`drop table listed`;
  return count;
}
