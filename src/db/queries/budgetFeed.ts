import type { Db, Query } from '../connection';
import { readColumns } from './numberColumns';

/** The days of campaigns from a day on, summed over their hours; ages counted back from the day before `today`. */
export const readOpenDays = (sql: Db, accountId: number, from: string, today: string) =>
  readColumns(
    sql,
    [accountId, from, today],
    ['campaignId', 'age', 'clicks'],
    `select campaign_id as "campaignId", ($3::date - 1 - day) as age, sum(clicks) as clicks
     from mowing.campaign_hour where account_id = $1 and day >= $2::date and day < $3::date group by campaign_id, day`,
  );

/**
 * The hours, from a day on, of campaigns that spent half of their daily budget or more on one of its days; by the least budget that they had, so that
 * none is missed that money may have held up. Each part is worked out once: on figures just written the planner would do so for every day.
 */
export const readNearHours = (sql: Db, accountId: number, from: string, today: string) =>
  readColumns(
    sql,
    [accountId, from, today],
    ['campaignId', 'age', 'hour', 'clicks', 'spend'],
    `with least as materialized (
       select c.campaign_id, least(c.budget_micros, min(b.budget_micros)) as budget
       from mowing.campaign c left join mowing.budget_day b on b.account_id = c.account_id and b.campaign_id = c.campaign_id
       where c.account_id = $1 and c.budget_kind = 'daily' group by c.campaign_id, c.budget_micros
     ), near as materialized (
       select distinct d.campaign_id from (
         select campaign_id, sum(spend_micros) as spend from mowing.campaign_hour
         where account_id = $1 and day >= $2::date and day < $3::date group by campaign_id, day
       ) d join least l on l.campaign_id = d.campaign_id and d.spend * 2 >= l.budget
     )
     select h.campaign_id as "campaignId", ($3::date - 1 - h.day) as age, h.hour, h.clicks, h.spend_micros as spend
     from mowing.campaign_hour h join near n on n.campaign_id = h.campaign_id
     where h.account_id = $1 and h.day >= $2::date and h.day < $3::date`,
  );

/** Campaigns whose market spreads their budget over the day. */
export async function listEvenlyPaced(sql: Query, accountId: number): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select campaign_id as id from mowing.campaign
    where account_id = ${accountId} and pacing = 'even' and budget_kind = 'daily' order by 1`;
  return rows.map(({ id }) => id);
}

/** Clicks of all campaigns by hour of the day. */
export async function sumByHour(
  sql: Query,
  accountId: number,
  from: string,
  today: string,
): Promise<number[]> {
  const rows = await sql<{ hour: number; clicks: number }[]>`
    select hour, sum(clicks)::integer as clicks from mowing.campaign_hour
    where account_id = ${accountId} and day >= ${from} and day < ${today} group by hour`;
  const byHour = new Array<number>(24).fill(0);
  for (const { hour, clicks } of rows) byHour[hour] = clicks;
  return byHour;
}

/** Budgets by the day from which each stood, the oldest first; null: none a day. Campaigns whose budget never moved have none. */
export const listBudgetDays = (sql: Query, accountId: number) =>
  sql<{ campaignId: number; day: string; budget: number | null }[]>`
    select campaign_id as "campaignId", day, budget_micros as budget from mowing.budget_day
    where account_id = ${accountId} order by campaign_id, day`;

/** What all campaigns spent from a day to the day before another, micros. */
export async function sumSpend(sql: Query, accountId: number, from: string, before: string): Promise<number> {
  const [{ spend }] = await sql<{ spend: number }[]>`
    select coalesce(sum(spend_micros), 0)::bigint as spend from mowing.placement_day
    where account_id = ${accountId} and day >= ${from} and day < ${before}`;
  return spend;
}
