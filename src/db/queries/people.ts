import type { Role } from '../../contract/people';
import type { Query } from '../connection';

export interface PersonRow {
  id: number;
  name: string;
  email: string;
  password: string | null;
  ownsAll: boolean;
}

const columns = (sql: Query) => sql`p.person_id as id, p.name, p.email, p.password, p.owns_all as "ownsAll"`;

/** Whether anybody has to sign in. */
export async function hasPeople(sql: Query): Promise<boolean> {
  const [{ any }] = await sql<{ any: boolean }[]>`
    select exists (select from mowing.person where gone_at is null) as any`;
  return any;
}

export async function findPerson(sql: Query, id: number): Promise<PersonRow | undefined> {
  const rows = await sql<PersonRow[]>`
    select ${columns(sql)} from mowing.person p where p.person_id = ${id} and p.gone_at is null`;
  return rows[0];
}

/** @param email in any spelling of its letters */
export async function findByEmail(sql: Query, email: string): Promise<PersonRow | undefined> {
  const rows = await sql<PersonRow[]>`
    select ${columns(sql)} from mowing.person p where lower(p.email) = lower(${email}) and p.gone_at is null`;
  return rows[0];
}

/** @returns the new person's id; undefined where the address is taken */
export async function insertPerson(
  tx: Query,
  person: { name: string; email: string; ownsAll: boolean },
): Promise<number | undefined> {
  const rows = await tx<{ id: number }[]>`
    insert into mowing.person (name, email, owns_all) values (${person.name}, ${person.email}, ${person.ownsAll})
    on conflict do nothing returning person_id as id`;
  return rows[0]?.id;
}

export async function setPassword(tx: Query, id: number, password: string): Promise<void> {
  await tx`update mowing.person set password = ${password} where person_id = ${id}`;
}

/** Takes somebody out: her sessions, links, roles and tokens end with her. */
export async function removePerson(tx: Query, id: number): Promise<void> {
  await tx`update mowing.person set gone_at = now(), password = null where person_id = ${id}`;
  await tx`delete from mowing.account_role where person_id = ${id}`;
  await tx`delete from mowing.session where person_id = ${id}`;
  await tx`delete from mowing.one_time_link where person_id = ${id}`;
  await tx`delete from mowing.passkey where person_id = ${id}`;
  await tx`delete from mowing.code_key where person_id = ${id}`;
  await tx`update mowing.api_token set ended_at = now() where made_by_id = ${id} and ended_at is null`;
}

/** How many own everything. */
export async function countOwners(sql: Query): Promise<number> {
  const [{ count }] = await sql<{ count: number }[]>`
    select count(*)::integer as count from mowing.person where owns_all and gone_at is null`;
  return count;
}

/** How many accounts somebody has a role on. */
export async function countRoles(sql: Query, id: number): Promise<number> {
  const [{ count }] = await sql<{ count: number }[]>`
    select count(*)::integer as count from mowing.account_role where person_id = ${id}`;
  return count;
}

/** Sets what somebody is on an account; null: nothing any more. */
export async function putRole(
  tx: Query,
  accountId: number,
  personId: number,
  role: Role | null,
): Promise<void> {
  if (role === null)
    await tx`delete from mowing.account_role where account_id = ${accountId} and person_id = ${personId}`;
  else
    await tx`
      insert into mowing.account_role (account_id, person_id, role) values (${accountId}, ${personId}, ${role})
      on conflict (account_id, person_id) do update set role = excluded.role`;
}

/** What somebody is on each account that she has a role on. */
export async function rolesOf(sql: Query, personId: number): Promise<Map<number, Role>> {
  const rows = await sql<{ accountId: number; role: Role }[]>`
    select account_id as "accountId", role from mowing.account_role where person_id = ${personId}`;
  return new Map(rows.map(({ accountId, role }) => [accountId, role]));
}

/** Who may see an account, by name. */
export async function listPeople(
  sql: Query,
  accountId: number,
): Promise<(PersonRow & { role: Role; seenAt: string | null })[]> {
  return sql`
    select ${columns(sql)}, case when p.owns_all then 'owns' else r.role end as role,
      (select max(s.seen_at) from mowing.session s where s.person_id = p.person_id) as "seenAt"
    from mowing.person p
    left join mowing.account_role r on r.account_id = ${accountId} and r.person_id = p.person_id
    where p.gone_at is null and (p.owns_all or r.role is not null) order by lower(p.name), p.person_id`;
}

/** A line of what happened at the door. */
export async function logPeople(
  tx: Query,
  entry: { what: string; subject?: string; address?: string },
): Promise<void> {
  await tx`
    insert into mowing.people_log (what, subject, address)
    values (${entry.what}, ${entry.subject ?? ''}, ${entry.address ?? ''})`;
}

/** What happened at the door, newest first. */
export async function listPeopleLog(
  sql: Query,
  most = 100,
): Promise<{ at: string; by: string; what: string; subject: string; address: string }[]> {
  return sql`
    select at, by_caller as by, what, subject, address from mowing.people_log order by log_id desc limit ${most}`;
}
