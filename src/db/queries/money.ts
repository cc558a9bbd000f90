import type { MonthGoal } from '../../contract/field';
import type { Query } from '../connection';

/** Spend of all campaigns by day, micros. */
export const listSpendDays = (sql: Query, accountId: number, from: string, to: string) =>
  sql<{ day: string; spend: number }[]>`
    select day, sum(spend_micros)::bigint as spend from mowing.placement_day
    where account_id = ${accountId} and day between ${from} and ${to} group by day`;

/** Campaigns that run with what each spent since it began, over the last 28 days, and its clicks in these. */
export const listPacedCampaigns = (sql: Query, accountId: number, last: string) =>
  sql<
    {
      name: string;
      budget: number | null;
      budgetKind: 'daily' | 'lifetime' | null;
      endsOn: string | null;
      spent: number;
      spentLately: number;
      clicksLately: number;
    }[]
  >`
    select c.name, c.budget_micros as budget, c.budget_kind as "budgetKind", c.ends_on as "endsOn",
      coalesce(f.spent, 0)::bigint as spent, coalesce(f.lately, 0)::bigint as "spentLately", coalesce(f.clicks, 0)::integer as "clicksLately"
    from mowing.campaign c
    left join (
      select campaign_id, sum(spend_micros) as spent, sum(spend_micros) filter (where day > ${last}::date - 28) as lately,
        sum(clicks) filter (where day > ${last}::date - 28) as clicks
      from mowing.placement_day where account_id = ${accountId} group by campaign_id
    ) f on f.campaign_id = c.campaign_id
    where c.account_id = ${accountId} and c.state = 'enabled' and (c.ends_on is null or c.ends_on > ${last})
    order by c.name`;

/** Goals of a year's months that have one, and what was spent and sold by ads in each month with data. Micros. */
export const listMonthGoals = (sql: Query, accountId: number, year: string) =>
  sql<MonthGoal[]>`
    select month, sales_micros as sales, spend_micros as spend from mowing.month_goal
    where account_id = ${accountId} and month >= ${`${year}-01-01`} and month <= ${`${year}-12-01`}`;

export const listMonthsDone = (sql: Query, accountId: number, year: string) =>
  sql<{ month: string; spend: number }[]>`
    select date_trunc('month', day)::date as month, sum(spend_micros)::bigint as spend from mowing.placement_day
    where account_id = ${accountId} and day >= ${`${year}-01-01`} and day <= ${`${year}-12-31`} group by 1`;
