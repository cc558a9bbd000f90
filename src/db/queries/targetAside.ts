import type { TargetAside } from '../../contract/bids';
import type { Query } from '../connection';

/** Targets that are put aside on a day. */
export async function listTargetAside(sql: Query, accountId: number, today: string): Promise<TargetAside[]> {
  return sql<TargetAside[]>`
    select target_id as "targetId", verdict, until_day as until, note
    from mowing.target_aside where account_id = ${accountId} and until_day > ${today}`;
}

export async function keepTargetAside(
  sql: Query,
  accountId: number,
  targetIds: number[],
  { verdict, until, note }: Omit<TargetAside, 'targetId'>,
): Promise<void> {
  await sql`
    insert into mowing.target_aside (account_id, target_id, verdict, until_day, note)
    select ${accountId}, t, ${verdict}, ${until}, ${note} from unnest(${targetIds}::integer[]) as t
    on conflict (account_id, target_id)
      do update set verdict = excluded.verdict, until_day = excluded.until_day, note = excluded.note, decided_at = now()`;
}

export async function dropTargetAside(sql: Query, accountId: number, targetIds: number[]): Promise<void> {
  await sql`delete from mowing.target_aside where account_id = ${accountId} and target_id = any(${targetIds}::integer[])`;
}
