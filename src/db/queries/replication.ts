import type { Query } from '../connection';

/** Up to where everything committed is on the database's disk, as a place in its log. */
export async function writtenUpTo(sql: Query): Promise<string> {
  const [{ place }] = await sql<{ place: string }[]>`select pg_current_wal_flush_lsn()::text as place`;
  return place;
}

/** Whether a copy shows what was written up to a place. @throws where it is no copy that follows */
export async function hasReplayed(sql: Query, place: string): Promise<boolean> {
  const [{ has }] = await sql<{ has: boolean | null }[]>`
    select pg_last_wal_replay_lsn() >= ${place}::text::pg_lsn as has`;
  if (has === null) throw new Error('DATABASE_READ_URL leads to a database that follows no other.');
  return has;
}
