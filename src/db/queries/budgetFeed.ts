import type { Db, Query } from '../connection';
import { printColumns } from './printColumns';
import type { PrintedColumns } from './printColumns';

/** The days of campaigns from a day on, summed over their hours, with the last hour in which each spent; ages counted back from the day before `today`. */
export const readOpenDays = (
  sql: Db,
  accountId: number,
  from: string,
  today: string,
): Promise<PrintedColumns> =>
  printColumns(
    sql,
    [accountId, from, today],
    ['campaignId', 'age', 'clicks', 'spend', 'lastHour'],
    `select campaign_id as "campaignId", ($3::date - 1 - day) as age, sum(clicks) as clicks, sum(spend_micros) as spend,
       coalesce(max(hour) filter (where spend_micros > 0), 0) as "lastHour"
     from mowing.campaign_hour where account_id = $1 and day >= $2::date and day < $3::date group by campaign_id, day`,
  );

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
