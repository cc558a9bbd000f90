import type { TrailLine } from '../../contract/people';
import type { Query } from '../connection';

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

/** What has a name of its own, as subjects of the trail call it: the word before its number, its table, and how its name is found there. */
const NAMED = {
  campaign: ['campaign', 'campaign_id', 'name'],
  'ad group': ['ad_group', 'ad_group_id', 'name'],
  product: ['product', 'product_id', 'name'],
  target: ['target', 'target_id', 'expression'],
  line: ['product_line', 'line_id', 'name'],
  rule: ['rule', 'rule_id', "rule->>'name'"],
} as const;

function nameOfSubject(sql: Query) {
  const cases = Object.entries(NAMED).map(
    ([word, [table, id, name]]) =>
      `when a.subject ~ '^${word} [0-9]{1,9}$' then (select t.${name} from mowing.${table} t where t.account_id = a.account_id and t.${id} = substring(a.subject from '[0-9]+$')::integer)`,
  );
  return sql.unsafe(`case ${cases.join(' ')} end`);
}

/** Which lines of a trail are asked for. */
export interface AuditAsked {
  /** A text that stands somewhere in them. */
  find?: string;
  /** Older than this line. */
  before?: number;
  most?: number;
}

/** The trail of an account, newest first. */
export async function listAudit(
  sql: Query,
  accountId: number,
  { find, before, most = 200 }: AuditAsked = {},
): Promise<Omit<TrailLine, 'changes'>[]> {
  return sql<TrailLine[]>`
    select audit_id as id, at, by_caller as by, what, subject, ${nameOfSubject(sql)} as name, from_value as "from", to_value as "to"
    from mowing.audit a where account_id = ${accountId}
    ${before === undefined ? sql`` : sql`and audit_id < ${before}`}
    ${find ? sql`and position(lower(${find}) in lower(concat_ws(' ', what, subject, ${nameOfSubject(sql)}, by_caller, from_value::text, to_value::text))) > 0` : sql``}
    order by audit_id desc limit ${most}`;
}
