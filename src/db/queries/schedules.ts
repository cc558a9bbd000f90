import type { NamedWeek, RunningSchedule } from '../../contract/schedules';
import type { State } from '../../core/structure';
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

/** Schedules of campaigns, ended ones too, the oldest first. */
export const listSchedules = (sql: Query, accountId: number) =>
  sql<(Omit<RunningSchedule, 'scheduleId'> & { id: number; state: State })[]>`
    select schedule_id as id, campaign_id as "campaignId", name, week, state from mowing.schedule
    where account_id = ${accountId} order by schedule_id`;

/** What campaigns spend on an average day between two, micros. */
export const listDailySpend = (sql: Query, accountId: number, from: string, to: string) =>
  sql<{ id: number; spend: number }[]>`
    select campaign_id as id, (sum(spend_micros) / (${to}::date - ${from}::date + 1))::float8 as spend
    from mowing.placement_day where account_id = ${accountId} and day between ${from} and ${to}
    group by campaign_id order by 1`;

/** Own bids of the targets that run in some campaigns, micros. */
export const listOwnBids = (sql: Query, accountId: number, campaigns: number[]) =>
  sql<{ targetId: number; campaignId: number; bid: number }[]>`
    select t.target_id as "targetId", g.campaign_id as "campaignId", t.bid_micros as bid
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where t.account_id = ${accountId} and g.campaign_id = any(${campaigns}::integer[]) and t.state = 'enabled' and t.bid_micros is not null
    order by 1`;
