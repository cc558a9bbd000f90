import type { SpendPlan } from '../../contract/money';
import type { Query } from '../connection';

/** What parts of the account may spend, with their names; a part that is gone has no plan. */
export const listSpendPlans = (sql: Query, accountId: number) =>
  sql<(SpendPlan & { name: string })[]>`
    select p.scope, p.scope_id as "scopeId", p.span, p.spend_micros as spend, coalesce(l.name, i.name, c.name, 'Account') as name
    from mowing.spend_plan p
    left join mowing.product_line l on p.scope = 'line' and l.account_id = p.account_id and l.line_id = p.scope_id
    left join mowing.product i on p.scope = 'product' and i.account_id = p.account_id and i.product_id = p.scope_id
    left join mowing.campaign c on p.scope = 'campaign' and c.account_id = p.account_id and c.campaign_id = p.scope_id
    where p.account_id = ${accountId} and (p.scope = 'account' or coalesce(l.name, i.name, c.name) is not null)
    order by array_position(array['account', 'line', 'product', 'campaign'], p.scope), name, p.span`;

export async function upsertSpendPlan(sql: Query, accountId: number, plan: SpendPlan): Promise<void> {
  const { scope, scopeId, span, spend } = plan;
  await sql`
    insert into mowing.spend_plan (account_id, scope, scope_id, span, spend_micros)
    values (${accountId}, ${scope}, ${scopeId}, ${span}, ${spend})
    on conflict (account_id, scope, scope_id, span) do update
    set spend_micros = excluded.spend_micros, by_caller = excluded.by_caller`;
}

/** Takes a plan away. */
export async function deleteSpendPlan(
  sql: Query,
  accountId: number,
  { scope, scopeId, span }: Omit<SpendPlan, 'spend'>,
): Promise<void> {
  await sql`
    delete from mowing.spend_plan
    where account_id = ${accountId} and scope = ${scope} and scope_id = ${scopeId} and span = ${span}`;
}

/**
 * Spend by day of every part that has a plan, of the account as a whole too. A product's is that of the ad groups that advertise it first.
 * @param table where the figures by target are
 */
export const listPartDays = (
  sql: Query,
  accountId: number,
  table: 'target_day' | 'term_day',
  from: string,
  to: string,
) =>
  sql<{ scope: SpendPlan['scope']; scopeId: number; day: string; spend: number }[]>`
    with part as (
      select distinct scope, scope_id from mowing.spend_plan where account_id = ${accountId}
    ), spent as (
      select target_id, day, sum(spend_micros) as spend from ${sql.unsafe(`mowing.${table}`)}
      where account_id = ${accountId} and day between ${from} and ${to} and spend_micros > 0
      group by target_id, day
    )
    select p.scope, p.scope_id as "scopeId", s.day, sum(s.spend)::bigint as spend
    from spent s
    join mowing.target t on t.account_id = ${accountId} and t.target_id = s.target_id
    join mowing.ad_group g on g.account_id = ${accountId} and g.ad_group_id = t.ad_group_id
    left join mowing.product i on i.account_id = ${accountId} and i.product_id = g.product_id
    join part p on p.scope_id = case p.scope when 'account' then 0 when 'line' then i.line_id when 'product' then g.product_id else g.campaign_id end
    group by 1, 2, 3`;

/** Running campaigns with a budget for their life and an end: when each began, what it spent since, and its spend by day from a day on. */
export const listLives = (sql: Query, accountId: number, last: string) =>
  sql<{ campaignId: number; name: string; budget: number; beganOn: string; endsOn: string; spent: number }[]>`
    select c.campaign_id as "campaignId", c.name, c.budget_micros as budget, c.ends_on as "endsOn",
      coalesce(c.starts_on, min(f.day)) as "beganOn", coalesce(sum(f.spend_micros), 0)::bigint as spent
    from mowing.campaign c
    left join mowing.placement_day f on f.account_id = c.account_id and f.campaign_id = c.campaign_id
    where c.account_id = ${accountId} and c.state = 'enabled' and c.budget_kind = 'lifetime' and c.budget_micros > 0 and c.ends_on > ${last}
    group by c.campaign_id, c.name, c.budget_micros, c.ends_on, c.starts_on
    having coalesce(c.starts_on, min(f.day)) is not null
    order by c.name`;

export const listCampaignDays = (sql: Query, accountId: number, ids: number[], from: string, to: string) =>
  sql<{ campaignId: number; day: string; spend: number }[]>`
    select campaign_id as "campaignId", day, sum(spend_micros)::bigint as spend from mowing.placement_day
    where account_id = ${accountId} and campaign_id = any(${ids}::integer[]) and day between ${from} and ${to}
    group by 1, 2`;
