import type { Query } from '../connection';
import { targetTable } from './targetTable';

/** A loss that was accepted. Days are the account's; money in micros. */
export interface LossRow {
  subject: string;
  note: string;
  from: string;
  /** The first day on which it no longer holds. */
  until: string;
  most: number | null;
  endedOn: string | null;
}

/** All accepted losses of an account, those that end first at the top. */
export async function listLosses(sql: Query, accountId: number): Promise<LossRow[]> {
  return sql<LossRow[]>`
    select subject, note, from_day as from, until_day as until, most_micros as most, ended_on as "endedOn"
    from mowing.accepted_loss where account_id = ${accountId} order by ended_on nulls first, until_day, subject`;
}

/** Accepts losses; one that still holds goes on from its first day. */
export async function keepLosses(
  sql: Query,
  accountId: number,
  subjects: readonly string[],
  { today, until, note, most }: { today: string; until: string; note: string; most: number | null },
): Promise<void> {
  await sql`
    insert into mowing.accepted_loss as l (account_id, subject, note, from_day, until_day, most_micros)
    select ${accountId}, s, ${note}, ${today}, ${until}, ${most}::bigint from unnest(${subjects as string[]}::text[]) as s
    on conflict (account_id, subject) do update set note = excluded.note, until_day = excluded.until_day, most_micros = excluded.most_micros,
      from_day = case when l.ended_on is null and l.until_day > ${today}::date then l.from_day else excluded.from_day end,
      ended_on = null, decided_at = now(), by_caller = excluded.by_caller`;
}

/** Ends losses that hold; one of today goes without a trace: it was not meant. @returns how many */
export async function endLosses(
  sql: Query,
  accountId: number,
  subjects: readonly string[],
  today: string,
): Promise<number> {
  const gone = await sql`
    delete from mowing.accepted_loss
    where account_id = ${accountId} and subject = any(${subjects as string[]}::text[]) and from_day = ${today} and ended_on is null`;
  const ended = await sql`
    update mowing.accepted_loss set ended_on = ${today}
    where account_id = ${accountId} and subject = any(${subjects as string[]}::text[]) and ended_on is null`;
  return gone.count + ended.count;
}

/** What targets spent and sold on days, summed by target. Money in micros. */
export async function sumTargets(
  sql: Query,
  accountId: number,
  targets: readonly number[],
  { from, to }: { from: string; to: string },
): Promise<{ id: number; spend: number; sales: number }[]> {
  const facts = sql.unsafe(await targetTable(sql, accountId, from, to));
  return sql<{ id: number; spend: number; sales: number }[]>`
    select target_id as id, sum(spend_micros)::bigint as spend, sum(sales_micros)::bigint as sales
    from mowing.${facts}
    where account_id = ${accountId} and day between ${from} and ${to} and target_id = any(${targets as number[]}::integer[])
    group by 1`;
}
