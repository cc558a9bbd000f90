import type { Aside } from '../../contract/aside';
import type { Query } from '../connection';

/** What is put aside on a day, of all queues, but for accepted losses. */
export async function listAside(sql: Query, accountId: number, today: string): Promise<Aside[]> {
  return sql<Aside[]>`
    select queue, subject, verdict, until_day as until, note
    from mowing.aside where account_id = ${accountId} and until_day > ${today} order by decided_at, subject`;
}

export async function keepAside(
  sql: Query,
  accountId: number,
  subjects: string[],
  { queue, verdict, until, note }: Omit<Aside, 'subject'>,
): Promise<void> {
  await sql`
    insert into mowing.aside (account_id, queue, subject, verdict, until_day, note)
    select ${accountId}, ${queue}, s, ${verdict}, ${until}, ${note} from unnest(${subjects}::text[]) as s
    on conflict (account_id, queue, subject)
      do update set verdict = excluded.verdict, until_day = excluded.until_day, note = excluded.note, by_caller = excluded.by_caller,
        decided_at = now()`;
}

export async function dropAside(
  sql: Query,
  accountId: number,
  queue: string,
  subjects: string[],
): Promise<void> {
  await sql`
    delete from mowing.aside where account_id = ${accountId} and queue = ${queue} and subject = any(${subjects}::text[])`;
}
