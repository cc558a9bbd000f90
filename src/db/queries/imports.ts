import type { ImportKind } from '../../contract/reportFields';
import type { Query } from '../connection';
import { isGone } from './programs';

export type ImportState = 'reading' | 'writing' | 'needs-mapping' | 'done' | 'refused';

export interface ImportRow {
  importId: number;
  accountId: number;
  kind: ImportKind;
  fileName: string | null;
  state: ImportState;
  bytesRead: number;
  bytesTotal: number | null;
  read: number;
  kept: number;
  unchanged: number;
  refused: number;
  headings: string[];
  matched: Record<string, string>;
  unmatched: string[];
  /** Headings whose columns were not read, although nobody chose to leave them out. */
  unread: string[];
  /** What can be read in two ways, each with a value that shows it; null where it is sure. */
  asks: { decimals: string | null; dayOrder: string | null };
  /** Fields that several columns could be. */
  several: { field: string; headings: string[] }[];
  /** Sums over the readable rows of the file, and over those that are here now; counts, or micros. */
  sums: { field: string; file: number; kept: number }[];
  /** The first lines of the file, cells shortened; only with a single import. */
  firstLines: string[][];
  /** Which of them holds the headings, from 1; null where it was not read so far. */
  headingLine: number | null;
  byName: boolean;
  firstDay: string | null;
  lastDay: string | null;
  message: string;
  startedAt: string;
  finishedAt: string | null;
}

const columns = (sql: Query, isSingle: boolean) => sql`
  import_id as "importId", account_id as "accountId", kind, file_name as "fileName", state, bytes_read as "bytesRead",
  bytes_total as "bytesTotal", read_rows as read, kept_rows as kept, unchanged_rows as unchanged,
  refused_rows as refused, headings, matched, unmatched, unread, asks, several, sums,
  ${isSingle ? sql`first_lines` : sql`'[]'::jsonb`} as "firstLines", heading_line as "headingLine", by_name as "byName", first_day as "firstDay",
  last_day as "lastDay", message, started_at as "startedAt", finished_at as "finishedAt"`;

export async function insertImport(
  sql: Query,
  start: { accountId: number; kind: ImportKind; fileName: string | null; bytesTotal: number | null },
  program: number,
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.import (account_id, kind, file_name, state, bytes_total, program_no)
    values (${start.accountId}, ${start.kind}, ${start.fileName}, 'reading', ${start.bytesTotal}, ${program})
    returning import_id as id`;
  return id;
}

export async function findImport(sql: Query, importId: number): Promise<ImportRow | undefined> {
  const rows = await sql<
    ImportRow[]
  >`select ${columns(sql, true)} from mowing.import where import_id = ${importId}`;
  return rows[0];
}

/** The latest imports of an account, newest first. */
export async function listImports(sql: Query, accountId: number, most = 50): Promise<ImportRow[]> {
  return sql<ImportRow[]>`
    select ${columns(sql, false)} from mowing.import where account_id = ${accountId} order by import_id desc limit ${most}`;
}

/** Tells watchers how far a running import is. One that has ended stays so: what is told on the way may come late. */
export async function touchImport(
  sql: Query,
  importId: number,
  at: { state: ImportState; bytesRead: number; read: number },
): Promise<void> {
  await sql`
    update mowing.import set state = ${at.state}, bytes_read = ${at.bytesRead}, read_rows = ${at.read}, touched_at = now()
    where import_id = ${importId} and finished_at is null`;
}

/** What an import came to. */
export type ImportEnd = Omit<
  ImportRow,
  'importId' | 'accountId' | 'kind' | 'fileName' | 'bytesRead' | 'bytesTotal' | 'startedAt' | 'finishedAt'
>;

export async function finishImport(sql: Query, importId: number, end: ImportEnd): Promise<void> {
  await sql`
    update mowing.import set state = ${end.state}, read_rows = ${end.read}, kept_rows = ${end.kept},
      unchanged_rows = ${end.unchanged}, refused_rows = ${end.refused}, headings = ${sql.json(end.headings)},
      matched = ${sql.json(end.matched)}, unmatched = ${sql.json(end.unmatched)}, unread = ${sql.json(end.unread)},
      asks = ${sql.json(end.asks)}, several = ${sql.json(end.several)}, sums = ${sql.json(end.sums)},
      first_lines = ${sql.json(end.firstLines)}, heading_line = ${end.headingLine}, by_name = ${end.byName},
      first_day = ${end.firstDay}, last_day = ${end.lastDay}, message = ${end.message},
      touched_at = now(), finished_at = now()
    where import_id = ${importId} and finished_at is null`;
}

/**
 * Imports that an ended program left unfinished are told as refused: their transaction is gone. So is one of which nobody has told
 * for long although its program lives: one that reads tells of itself every second, one that writes is silent for as long as the database takes.
 */
export async function refuseAbandonedImports(sql: Query): Promise<number> {
  const rows = await sql`
    update mowing.import set state = 'refused', finished_at = now(),
      message = 'The import was cut off when Mowing stopped. Nothing of it was kept. Import the file again.'
    where finished_at is null and (${isGone(sql, 'program_no')}
       or (state = 'reading' and touched_at < now() - interval '1 minute')
       or (state = 'writing' and touched_at < now() - interval '30 minutes'))`;
  return rows.count;
}

export interface RefusedRow {
  line: number;
  reason: string;
  text: string;
}

export async function insertRefused(
  sql: Query,
  accountId: number,
  importId: number,
  rows: RefusedRow[],
): Promise<void> {
  for (let at = 0; at < rows.length; at += 5000) {
    const part = rows.slice(at, at + 5000);
    await sql`
      insert into mowing.import_refused (account_id, import_id, line, reason, row_text)
      select ${accountId}, ${importId}, * from unnest(${part.map((row) => row.line)}::integer[],
        ${part.map((row) => row.reason)}::text[], ${part.map((row) => row.text)}::text[])`;
  }
}

export async function listRefused(sql: Query, importId: number): Promise<RefusedRow[]> {
  return sql<RefusedRow[]>`
    select line, reason, row_text as text from mowing.import_refused where import_id = ${importId} order by line`;
}

/** What was said of files with a set of headings: what they mean, how figures and days are written (null: nothing). */
export interface HeadingNotes {
  matched: Record<string, string>;
  decimals: string | null;
  dayOrder: string | null;
}

/** What was said of files before, by set of headings. */
export async function listHeadingMatches(
  sql: Query,
  accountId: number,
  kind: ImportKind,
): Promise<Map<string, HeadingNotes>> {
  const rows = await sql<(HeadingNotes & { set: string })[]>`
    select heading_set as set, matched, decimals, day_order as "dayOrder"
    from mowing.heading_match where account_id = ${accountId} and kind = ${kind}`;
  return new Map(rows.map(({ set, ...notes }) => [set, notes]));
}

/** Remembers a set of headings that somebody said something of; what was said before stays. */
export async function keepHeadings(
  sql: Query,
  accountId: number,
  kind: ImportKind,
  set: string,
  { decimals, dayOrder }: Pick<HeadingNotes, 'decimals' | 'dayOrder'>,
): Promise<void> {
  await sql`
    insert into mowing.heading_match as h (account_id, kind, heading_set, matched, decimals, day_order)
    values (${accountId}, ${kind}, ${set}, '{}', ${decimals}, ${dayOrder})
    on conflict (account_id, kind, heading_set) do update
    set decimals = coalesce(excluded.decimals, h.decimals), day_order = coalesce(excluded.day_order, h.day_order)`;
}

export async function keepHeadingMatch(
  sql: Query,
  accountId: number,
  kind: ImportKind,
  set: string,
  matched: Record<string, string>,
): Promise<void> {
  await sql`
    insert into mowing.heading_match (account_id, kind, heading_set, matched)
    values (${accountId}, ${kind}, ${set}, ${sql.json(matched)})
    on conflict (account_id, kind, heading_set) do update set matched = excluded.matched`;
}

/** When a file was last taken into an account; null: never. */
export async function lastTakenIn(sql: Query, accountId: number): Promise<string | null> {
  const [{ at }] = await sql<{ at: string | null }[]>`
    select max(finished_at) as at from mowing.import where account_id = ${accountId} and state = 'done'`;
  return at;
}
