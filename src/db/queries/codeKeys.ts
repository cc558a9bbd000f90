import type { Query } from '../connection';

export interface CodeKey {
  secret: Uint8Array;
  onSince: string | null;
}

/** What somebody's codes are worked out of; undefined where she has none. */
export async function findCodeKey(sql: Query, personId: number): Promise<CodeKey | undefined> {
  const [key] = await sql<CodeKey[]>`
    select secret, on_since as "onSince" from mowing.code_key where person_id = ${personId}`;
  return key;
}

/** Keeps a new secret in place of one that never came into use. @returns whether it was kept; not where codes are on */
export async function putCodeKey(tx: Query, personId: number, secret: Uint8Array): Promise<boolean> {
  const kept = await tx`
    insert into mowing.code_key as k (person_id, secret) values (${personId}, ${secret})
    on conflict (person_id) do update set secret = excluded.secret, last_step = 0 where k.on_since is null`;
  return kept.count > 0;
}

/** Takes the code of a half minute, once. @returns whether it was not taken before, nor a later one */
export async function takeStep(tx: Query, personId: number, step: number): Promise<boolean> {
  const taken = await tx`
    update mowing.code_key set last_step = ${step} where person_id = ${personId} and last_step < ${step}`;
  return taken.count > 0;
}

/** From now on codes are asked for. */
export async function turnCodesOn(tx: Query, personId: number): Promise<void> {
  await tx`update mowing.code_key set on_since = now() where person_id = ${personId}`;
}

/** @returns whether codes were asked for until now */
export async function deleteCodeKey(tx: Query, personId: number): Promise<boolean> {
  const [gone] = await tx<{ wasOn: boolean }[]>`
    delete from mowing.code_key where person_id = ${personId} returning on_since is not null as "wasOn"`;
  return gone?.wasOn ?? false;
}
