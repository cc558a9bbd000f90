import type { Role, TokenInfo } from '../../contract/people';
import type { Query } from '../connection';

export async function insertToken(
  tx: Query,
  token: { hash: Uint8Array; name: string; madeBy: number; role: Role; accountIds: number[]; endsOn: string },
): Promise<number> {
  const [{ id }] = await tx<{ id: number }[]>`
    insert into mowing.api_token (token_hash, name, made_by_id, role, account_ids, ends_on)
    values (${token.hash}, ${token.name}, ${token.madeBy}, ${token.role}, ${token.accountIds}, ${token.endsOn})
    returning token_id as id`;
  return id;
}

/** What a token may do; undefined where it has ended or never was. */
export async function findToken(
  sql: Query,
  hash: Uint8Array,
): Promise<{ id: number; name: string; role: Role; accountIds: number[] } | undefined> {
  const rows = await sql<{ id: number; name: string; role: Role; accountIds: number[] }[]>`
    update mowing.api_token set used_at = now()
    where token_hash = ${hash} and ended_at is null and ends_on >= current_date
    returning token_id as id, name, role, account_ids as "accountIds"`;
  return rows[0];
}

/** The tokens of an account that have not ended. */
export async function listTokens(sql: Query, accountId: number): Promise<TokenInfo[]> {
  return sql`
    select t.token_id as id, t.name, t.role, p.name as by, t.ends_on as "endsOn", t.used_at as "usedAt"
    from mowing.api_token t join mowing.person p on p.person_id = t.made_by_id
    where ${accountId} = any(t.account_ids) and t.ended_at is null and t.ends_on >= current_date order by t.token_id`;
}

/** Ends a token of an account. @returns its name; undefined where there is none */
export async function endToken(tx: Query, accountId: number, id: number): Promise<string | undefined> {
  const rows = await tx<{ name: string }[]>`
    update mowing.api_token set ended_at = now()
    where token_id = ${id} and ${accountId} = any(account_ids) and ended_at is null returning name`;
  return rows[0]?.name;
}
