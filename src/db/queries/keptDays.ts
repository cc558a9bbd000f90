import type { Query } from '../connection';
import type { FactTable } from './factTables';

/** What the rows of a day come to: how many they are, and a hash that does not depend on their order. */
export interface DayHash {
  rows: number;
  /** A whole number of 64 bits, in digits. */
  hash: string;
}

/** Which of some days an account has rows of, each with what they come to; null: that is not known, and has to be compared row by row. */
export async function readKeptDays(
  tx: Query,
  accountId: number,
  kind: string,
  days: string[],
): Promise<Map<string, DayHash | null>> {
  const rows = await tx<{ day: string; rows: number | null; hash: string | null }[]>`
    select day, row_count as rows, hash::text as hash from mowing.kept_day
    where account_id = ${accountId} and kind = ${kind} and day = any(${days}::date[])`;
  return new Map(
    rows.map(({ day, rows: count, hash }) => [
      day,
      count === null || hash === null ? null : { rows: count, hash },
    ]),
  );
}

/** Notes that an account has rows of some days, and what they come to. Called in the transaction that wrote them. */
export async function noteKeptDays(
  tx: Query,
  accountId: number,
  kind: string,
  days: ReadonlyMap<string, DayHash | null>,
): Promise<void> {
  const all = [...days.values()];
  await tx`
    insert into mowing.kept_day as h (account_id, kind, day, row_count, hash)
    select ${accountId}::integer, ${kind}, n.day, n.row_count, n.hash
    from unnest(${[...days.keys()]}::date[], ${all.map((one) => one?.rows ?? null)}::integer[],
      ${all.map((one) => one?.hash ?? null)}::text[]::bigint[]) as n(day, row_count, hash)
    on conflict (account_id, kind, day) do update set row_count = excluded.row_count, hash = excluded.hash`;
}

/** Notes that an account has no rows of a day any more. */
export async function dropKeptDay(tx: Query, accountId: number, kind: string, day: string): Promise<void> {
  await tx`delete from mowing.kept_day where account_id = ${accountId} and kind = ${kind} and day = ${day}`;
}

/** How many rows the account has on some days. */
export async function countRows(
  tx: Query,
  accountId: number,
  { table }: FactTable,
  days: string[],
): Promise<Map<string, number>> {
  const rows = await tx<{ day: string; rows: number }[]>`
    select day, count(*)::integer as rows from ${tx.unsafe(table)}
    where account_id = ${accountId} and day = any(${days}::date[]) group by day`;
  return new Map(rows.map(({ day, rows: count }) => [day, count]));
}
