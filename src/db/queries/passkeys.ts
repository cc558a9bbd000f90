import type { PasskeyInfo } from '../../contract/people';
import type { Query } from '../connection';

/** Minutes for which a device may think. */
const MINUTES = 5;

export async function insertChallenge(sql: Query, challenge: string, personId: number | null): Promise<void> {
  await sql`delete from mowing.passkey_challenge where ends_at < now()`;
  await sql`
    insert into mowing.passkey_challenge (challenge, person_id, ends_at)
    values (${challenge}, ${personId}, now() + ${MINUTES} * interval '1 minute')`;
}

/** Uses a challenge up. @returns whether it was asked for that, and not used yet */
export async function takeChallenge(
  sql: Query,
  challenge: string,
  personId: number | null,
): Promise<boolean> {
  const rows = await sql`
    delete from mowing.passkey_challenge
    where challenge = ${challenge} and person_id is not distinct from ${personId} and ends_at > now()`;
  return rows.count === 1;
}

export interface PasskeyRow {
  id: number;
  personId: number;
  credential: string;
  publicKey: Uint8Array;
  counter: number;
}

export async function insertPasskey(
  tx: Query,
  { personId, credential, publicKey, counter, name }: Omit<PasskeyRow, 'id'> & { name: string },
): Promise<void> {
  await tx`
    insert into mowing.passkey (person_id, credential, public_key, counter, name)
    values (${personId}, ${credential}, ${publicKey}, ${counter}, ${name})`;
}

/** By what the device calls it; not of somebody who is gone. */
export async function findPasskey(sql: Query, credential: string): Promise<PasskeyRow | undefined> {
  const rows = await sql<PasskeyRow[]>`
    select k.passkey_id as id, k.person_id as "personId", k.credential, k.public_key as "publicKey", k.counter
    from mowing.passkey k join mowing.person p using (person_id) where k.credential = ${credential} and p.gone_at is null`;
  return rows[0];
}

export async function markUsed(tx: Query, id: number, counter: number): Promise<void> {
  await tx`update mowing.passkey set counter = ${counter}, used_at = now() where passkey_id = ${id}`;
}

export async function listPasskeys(
  sql: Query,
  personId: number,
): Promise<(PasskeyInfo & { credential: string })[]> {
  return sql`
    select passkey_id as id, name, made_at as "madeAt", used_at as "usedAt", credential
    from mowing.passkey where person_id = ${personId} order by passkey_id`;
}

/** @returns its name; undefined where she has none of that number */
export async function deletePasskey(tx: Query, personId: number, id: number): Promise<string | undefined> {
  const rows = await tx<{ name: string }[]>`
    delete from mowing.passkey where person_id = ${personId} and passkey_id = ${id} returning name`;
  return rows[0]?.name;
}
