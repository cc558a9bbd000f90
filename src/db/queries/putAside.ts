import type { PutAside, StepName } from '../../contract/review';
import type { Query } from '../connection';

/** What is put aside on a day. */
export async function listPutAside(sql: Query, accountId: number, today: string): Promise<PutAside[]> {
  return sql<PutAside[]>`
    select step, ad_group_id as "adGroupId", term_id as "termId", verdict, until_day as until
    from mowing.put_aside where account_id = ${accountId} and until_day > ${today}`;
}

export async function keepPutAside(
  sql: Query,
  accountId: number,
  step: StepName,
  rows: { adGroupId: number; termId: number }[],
  verdict: 'left' | 'later',
  until: string,
): Promise<void> {
  await sql`
    insert into mowing.put_aside (account_id, step, ad_group_id, term_id, verdict, until_day)
    select ${accountId}, ${step}, a, t, ${verdict}, ${until}
    from unnest(${rows.map((row) => row.adGroupId)}::integer[], ${rows.map((row) => row.termId)}::integer[]) as r(a, t)
    on conflict (account_id, step, ad_group_id, term_id)
      do update set verdict = excluded.verdict, until_day = excluded.until_day, decided_at = now()`;
}

export async function dropPutAside(
  sql: Query,
  accountId: number,
  step: StepName,
  rows: { adGroupId: number; termId: number }[],
): Promise<void> {
  await sql`
    delete from mowing.put_aside p
    using unnest(${rows.map((row) => row.adGroupId)}::integer[], ${rows.map((row) => row.termId)}::integer[]) as r(a, t)
    where p.account_id = ${accountId} and p.step = ${step} and p.ad_group_id = r.a and p.term_id = r.t`;
}
