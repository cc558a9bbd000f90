import type { MonthGoal } from '../../contract/field';
import type { Query } from '../connection';

/** The goal of a month; undefined where none is set. */
export async function findMonthGoal(
  sql: Query,
  accountId: number,
  month: string,
): Promise<MonthGoal | undefined> {
  const rows = await sql<MonthGoal[]>`
    select month, sales_micros as sales, spend_micros as spend from mowing.month_goal
    where account_id = ${accountId} and month = ${month}`;
  return rows[0];
}

export async function upsertMonthGoal(sql: Query, accountId: number, goal: MonthGoal): Promise<void> {
  await sql`
    insert into mowing.month_goal (account_id, month, sales_micros, spend_micros)
    values (${accountId}, ${goal.month}, ${goal.sales}, ${goal.spend})
    on conflict (account_id, month) do update set sales_micros = excluded.sales_micros, spend_micros = excluded.spend_micros,
      by_caller = excluded.by_caller`;
}
