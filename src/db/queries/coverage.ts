import type { Query } from '../connection';

/** Where the rows of a kind of report reach; undefined where there are none. */
export async function findCoverage(
  sql: Query,
  accountId: number,
  kind: string,
): Promise<{ firstDay: string; lastDay: string } | undefined> {
  const rows = await sql<{ firstDay: string; lastDay: string }[]>`
    select first_day as "firstDay", last_day as "lastDay" from mowing.coverage where account_id = ${accountId} and kind = ${kind}`;
  return rows[0];
}

/** Notes that rows of a kind of report came for these days. */
export async function widenCoverage(
  tx: Query,
  accountId: number,
  kind: string,
  from: string,
  to: string,
): Promise<void> {
  await tx`
    insert into mowing.coverage as c (account_id, kind, first_day, last_day) values (${accountId}, ${kind}, ${from}, ${to})
    on conflict (account_id, kind) do update
    set first_day = least(c.first_day, excluded.first_day), last_day = greatest(c.last_day, excluded.last_day)`;
}

/** Looks anew where the rows of a kind of report reach, after some were removed. */
export async function renewCoverage(
  tx: Query,
  accountId: number,
  kind: string,
  table: string,
): Promise<void> {
  await tx`delete from mowing.coverage where account_id = ${accountId} and kind = ${kind}`;
  await tx`
    insert into mowing.coverage (account_id, kind, first_day, last_day)
    select ${accountId}, ${kind}, min(first_day), max(last_day)
    from (
      select min(day) as first_day, max(day) as last_day from ${tx.unsafe(table)} where account_id = ${accountId}
      union all
      select min(first_day), max(last_day) from mowing.summed where account_id = ${accountId} and kind = ${kind}
    ) days
    having min(first_day) is not null`;
}
