import type { Query } from '../connection';
import type { PersonRow } from './people';

/** Days after which a session that nobody used ends, and after which every session does. */
const UNUSED_DAYS = 30;
const LONGEST_DAYS = 180;

const isOpen = (sql: Query) => sql`
  s.seen_at > now() - ${UNUSED_DAYS} * interval '1 day' and s.made_at > now() - ${LONGEST_DAYS} * interval '1 day'`;

export async function insertSession(
  tx: Query,
  session: { hash: Uint8Array; personId: number; address: string; browser: string },
): Promise<void> {
  await tx`
    insert into mowing.session (token_hash, person_id, address, browser)
    values (${session.hash}, ${session.personId}, ${session.address}, ${session.browser})`;
}

/** Who carries a session; undefined where it has ended. */
export async function findSession(
  sql: Query,
  hash: Uint8Array,
): Promise<(Omit<PersonRow, 'password'> & { sessionId: number; isStale: boolean }) | undefined> {
  const rows = await sql<(Omit<PersonRow, 'password'> & { sessionId: number; isStale: boolean })[]>`
    select p.person_id as id, p.name, p.email, p.owns_all as "ownsAll", s.session_id as "sessionId",
      s.seen_at < now() - interval '5 minutes' as "isStale"
    from mowing.session s join mowing.person p using (person_id)
    where s.token_hash = ${hash} and p.gone_at is null and ${isOpen(sql)}`;
  return rows[0];
}

/** Tells that a session was used. */
export async function touchSession(sql: Query, sessionId: number): Promise<void> {
  await sql`update mowing.session set seen_at = now() where session_id = ${sessionId}`;
}

export async function listSessions(
  sql: Query,
  personId: number,
): Promise<{ id: number; madeAt: string; seenAt: string; address: string; browser: string }[]> {
  return sql`
    select s.session_id as id, s.made_at as "madeAt", s.seen_at as "seenAt", s.address, s.browser
    from mowing.session s where s.person_id = ${personId} and ${isOpen(sql)} order by s.seen_at desc`;
}

/** Ends one session of somebody, or all but one. @returns how many ended */
export async function endSessions(
  tx: Query,
  personId: number,
  which: { id: number } | { allBut: number | null },
): Promise<number> {
  const rows = await tx`
    delete from mowing.session where person_id = ${personId}
      and ${'id' in which ? tx`session_id = ${which.id}` : tx`session_id is distinct from ${which.allBut}`}`;
  return rows.count;
}

/** Removes sessions and links that have ended, so that the tables stay small. */
export async function sweepSessions(sql: Query): Promise<void> {
  await sql`delete from mowing.session s where not (${isOpen(sql)})`;
  await sql`delete from mowing.one_time_link where ends_at < now() - interval '30 days'`;
  await sql`delete from mowing.failed_try where last_at < now() - interval '1 day'`;
}

export async function insertLink(
  tx: Query,
  link: { hash: Uint8Array; personId: number; hours: number },
): Promise<string> {
  // Only the newest link of somebody works.
  await tx`delete from mowing.one_time_link where person_id = ${link.personId} and used_at is null`;
  const [{ until }] = await tx<{ until: string }[]>`
    insert into mowing.one_time_link (token_hash, person_id, ends_at)
    values (${link.hash}, ${link.personId}, now() + ${link.hours} * interval '1 hour') returning ends_at as until`;
  return until;
}

/** Uses a link up. @returns whose it was; undefined where it was used, has ended, or never was */
export async function takeLink(tx: Query, hash: Uint8Array): Promise<number | undefined> {
  const rows = await tx<{ personId: number }[]>`
    update mowing.one_time_link l set used_at = now() from mowing.person p
    where l.token_hash = ${hash} and l.used_at is null and l.ends_at > now() and p.person_id = l.person_id and p.gone_at is null
    returning l.person_id as "personId"`;
  return rows[0]?.personId;
}
