import type { ReportKind } from '../../contract/reportFields';
import type { Query } from '../connection';

/** A day of a report that was taken over whole. */
export interface SyncDay {
  kind: ReportKind;
  day: string;
  /** The market's day on which the report was made. */
  asOf: string;
}

export async function listSyncDays(sql: Query, accountId: number): Promise<SyncDay[]> {
  return sql<SyncDay[]>`
    select kind, day, as_of as "asOf" from mowing.sync_day where account_id = ${accountId} order by kind, day`;
}

/** Notes that some days of a report are whole; called in the transaction that writes their rows. */
export async function stampDays(
  sql: Query,
  accountId: number,
  kind: ReportKind,
  days: string[],
  asOf: string,
): Promise<void> {
  await sql`
    insert into mowing.sync_day (account_id, kind, day, as_of, rows)
    select ${accountId}, ${kind}, d, ${asOf}, 0 from unnest(${days}::date[]) as d
    on conflict (account_id, kind, day) do update set as_of = excluded.as_of, synced_at = now()`;
}

/** How much of a report is here. */
export interface Coverage {
  kind: ReportKind;
  firstDay: string;
  lastDay: string;
  days: number;
  syncedAt: string;
}

export async function listCoverage(sql: Query, accountId: number): Promise<Coverage[]> {
  return sql<Coverage[]>`
    select kind, min(day) as "firstDay", max(day) as "lastDay", count(*)::integer as days, max(synced_at) as "syncedAt"
    from mowing.sync_day where account_id = ${accountId} group by kind`;
}
