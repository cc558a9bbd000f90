import type { Query } from '../connection';

/** Tries that cost no waiting. */
const FREE_TRIES = 5;
/** After so long without a failure the count begins anew. */
const FORGOTTEN = '1 day';

/** Seconds to wait after so many failures: twice as long after each, up to a most. */
const waitOf = (sql: Query, most: number) =>
  sql`(least(${most}, case when f.failures < ${FREE_TRIES} then 0 else power(2, least(f.failures - ${FREE_TRIES}, 20)) end) * interval '1 second')`;

/**
 * Takes a try under a key, counted as a failure until it is told otherwise: two that come at once are both counted.
 * @param most seconds that are to be waited at the longest @returns seconds still to be waited; 0: the try may be made
 */
export async function takeTry(sql: Query, key: string, most: number): Promise<number> {
  const taken = await sql`
    insert into mowing.failed_try as f (key, failures) values (${key}, 1)
    on conflict (key) do update set
      failures = case when f.last_at < now() - ${FORGOTTEN}::interval then 1 else f.failures + 1 end, last_at = now()
    where f.last_at + ${waitOf(sql, most)} <= now()
    returning f.failures`;
  if (taken.length > 0) return 0;
  const [row] = await sql<{ seconds: number }[]>`
    select ceil(extract(epoch from f.last_at + ${waitOf(sql, most)} - now()))::integer as seconds
    from mowing.failed_try f where f.key = ${key}`;
  return Math.max(1, row?.seconds ?? 1);
}

/** A try was none: whoever made it knew the password. */
export async function forgiveTries(sql: Query, key: string): Promise<void> {
  await sql`delete from mowing.failed_try where key = ${key}`;
}
