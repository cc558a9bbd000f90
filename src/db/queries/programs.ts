import type { Db, Query } from '../connection';

/** First half of the advisory locks by which programs show that they live. */
const PROGRAMS = 1_836_021_609;

/** A number that no other program on this database has. */
export async function takeProgramNo(sql: Query): Promise<number> {
  const [{ no }] = await sql<{ no: number }[]>`select nextval('mowing.program_no')::integer as no`;
  return no;
}

/** Shows that program `no` lives, for as long as the one connection of `client` does. */
export async function showAlive(client: Db, no: number): Promise<void> {
  await client`select pg_advisory_lock(${PROGRAMS}::integer, ${no}::integer)`;
}

/** Condition: the program whose number stands in a column has ended, or there is none. */
export const isGone = (sql: Query, column: string) => sql`
  (${sql(column)} is null or not exists (
    select from pg_locks l join pg_database d on d.oid = l.database
    where l.locktype = 'advisory' and l.granted and d.datname = current_database()
      and l.classid = ${PROGRAMS}::bigint::oid and l.objid = ${sql(column)}::bigint::oid))`;
