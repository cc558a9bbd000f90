import type { Query } from '../connection';

/** What stands in the trail of an account. */
export interface AuditLine {
  id: number;
  at: string;
  by: string;
  what: string;
  subject: string;
  from: unknown;
  to: unknown;
}

/** Names who asks for the rest of a transaction: what it writes carries the name. */
export async function nameCaller(tx: Query, name: string): Promise<void> {
  await tx`select set_config('mowing.caller', ${name}, true)`;
}

export async function insertAudit(
  tx: Query,
  accountId: number,
  entry: { what: string; subject?: string; from?: unknown; to?: unknown },
): Promise<void> {
  const json = (value: unknown) => (value === undefined ? null : tx.json(value as never));
  await tx`
    insert into mowing.audit (account_id, what, subject, from_value, to_value)
    values (${accountId}, ${entry.what}, ${entry.subject ?? ''}, ${json(entry.from)}, ${json(entry.to)})`;
}

/** The trail of an account, newest first. */
export async function listAudit(sql: Query, accountId: number, most = 200): Promise<AuditLine[]> {
  return sql<AuditLine[]>`
    select audit_id as id, at, by_caller as by, what, subject, from_value as "from", to_value as "to"
    from mowing.audit where account_id = ${accountId} order by audit_id desc limit ${most}`;
}
