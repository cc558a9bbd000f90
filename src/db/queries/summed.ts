import type { Query } from '../connection';
import type { FactTable } from './factTables';
import { dropKeptDay } from './keptDays';
import { addUpWeeks } from './weeks';

/** Days of a kind of report whose figures came summed, and the day that their rows stand on. */
export interface SummedDays {
  kind: string;
  from: string;
  to: string;
  standsOn: string;
}

/** Everything of an account that came summed, by kind and day. */
export async function listSummed(sql: Query, accountId: number): Promise<SummedDays[]> {
  return sql<SummedDays[]>`
    select kind, first_day as "from", last_day as "to", stands_on as "standsOn"
    from mowing.summed where account_id = ${accountId} order by kind, first_day`;
}

/** The sums of a kind that some days meet, other than those days themselves. */
export async function sumsMet(
  sql: Query,
  accountId: number,
  kind: string,
  { from, to }: { from: string; to: string },
): Promise<{ from: string; to: string }[]> {
  return sql<{ from: string; to: string }[]>`
    select first_day as "from", last_day as "to" from mowing.summed
    where account_id = ${accountId} and kind = ${kind} and first_day <= ${to} and last_day >= ${from}
      and not (first_day = ${from} and last_day = ${to} and first_day < last_day)
    order by first_day`;
}

/** First and last day, within some days, that has rows of its own. Null where there are none. */
export async function ownDays(
  sql: Query,
  accountId: number,
  kind: string,
  { table }: FactTable,
  { from, to }: { from: string; to: string },
): Promise<{ from: string; to: string } | null> {
  const [row] = await sql<{ from: string | null; to: string | null }[]>`
    select min(day) as "from", max(day) as "to" from ${sql.unsafe(table)} f
    where account_id = ${accountId} and day between ${from} and ${to}
      and not exists (select from mowing.summed s where s.account_id = f.account_id and s.kind = ${kind} and s.stands_on = f.day)`;
  return row.from === null || row.to === null ? null : { from: row.from, to: row.to };
}

export async function keepSummed(tx: Query, accountId: number, sum: SummedDays): Promise<void> {
  await tx`
    insert into mowing.summed (account_id, kind, first_day, last_day, stands_on)
    values (${accountId}, ${sum.kind}, ${sum.from}, ${sum.to}, ${sum.standsOn})
    on conflict (account_id, kind, first_day) do nothing`;
}

/** Removes a sum with its rows. @returns how many rows it had; null where there is no such sum */
export async function removeSummed(
  tx: Query,
  accountId: number,
  kind: string,
  from: string,
  facts: FactTable,
): Promise<number | null> {
  const [gone] = await tx<{ day: string }[]>`
    delete from mowing.summed where account_id = ${accountId} and kind = ${kind} and first_day = ${from}
    returning stands_on as day`;
  if (!gone) return null;
  const rows =
    await tx`delete from ${tx.unsafe(facts.table)} where account_id = ${accountId} and day = ${gone.day}`;
  await dropKeptDay(tx, accountId, kind, gone.day);
  await addUpWeeks(tx, accountId, facts, [gone.day]);
  return rows.count;
}
