import type { NamedWeek, RunningSchedule } from '../../contract/schedules';
import type { Query } from '../connection';

export const listNamedWeeks = (sql: Query, accountId: number) =>
  sql<NamedWeek[]>`
    select name, week from mowing.named_week where account_id = ${accountId} order by lower(name), name`;

export async function keepNamedWeek(sql: Query, accountId: number, { name, week }: NamedWeek): Promise<void> {
  await sql`
    insert into mowing.named_week (account_id, name, week) values (${accountId}, ${name}, ${week})
    on conflict (account_id, name) do update set week = excluded.week, by_caller = excluded.by_caller, kept_at = now()`;
}

/** @returns whether there was one of this name */
export async function removeNamedWeek(sql: Query, accountId: number, name: string): Promise<boolean> {
  const gone = await sql`
    delete from mowing.named_week where account_id = ${accountId} and name = ${name} returning 1`;
  return gone.length > 0;
}

/** Schedules that campaigns follow, the oldest first. */
export const listRunningSchedules = (sql: Query, accountId: number) =>
  sql<RunningSchedule[]>`
    select schedule_id as "scheduleId", campaign_id as "campaignId", name, week from mowing.schedule
    where account_id = ${accountId} and state = 'enabled' order by schedule_id`;

/** Campaigns by id with whether they run, and the products that they advertise. */
export const listRunningCampaigns = (sql: Query, accountId: number) =>
  sql<{ id: number; runs: boolean; products: number[] }[]>`
    select c.campaign_id as id, c.state = 'enabled' as runs,
      coalesce(array_agg(distinct g.product_id) filter (where g.product_id is not null), '{}') as products
    from mowing.campaign c left join mowing.ad_group g on g.account_id = c.account_id and g.campaign_id = c.campaign_id
    where c.account_id = ${accountId} and c.state <> 'archived' group by c.campaign_id, c.state order by c.campaign_id`;

/** What campaigns with a daily budget spend of it on an average day between two, as a share of the budget that stands now. */
export const listBudgetUse = (sql: Query, accountId: number, from: string, to: string) =>
  sql<{ id: number; share: number }[]>`
    select c.campaign_id as id, (sum(d.spend_micros) / (${to}::date - ${from}::date + 1) / c.budget_micros)::float8 as share
    from mowing.campaign c
    join mowing.placement_day d on d.account_id = c.account_id and d.campaign_id = c.campaign_id and d.day between ${from} and ${to}
    where c.account_id = ${accountId} and c.budget_kind = 'daily' and c.budget_micros > 0
    group by c.campaign_id, c.budget_micros order by 1`;

/** Own bids of the targets that run in some campaigns, micros. */
export const listOwnBids = (sql: Query, accountId: number, campaigns: number[]) =>
  sql<{ targetId: number; campaignId: number; bid: number }[]>`
    select t.target_id as "targetId", g.campaign_id as "campaignId", t.bid_micros as bid
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where t.account_id = ${accountId} and g.campaign_id = any(${campaigns}::integer[]) and t.state = 'enabled' and t.bid_micros is not null
    order by 1`;
