import type { Query } from '../connection';
import type { FactTable } from './factTables';

/** Lets the database look at its tables once more, after so much was loaded that it would plan badly. */
export async function refreshStatistics(sql: Query): Promise<void> {
  await sql`analyze`;
}

/** What a kind of report is written to, and what its rows hang on. */
const HANGS_ON = ['mowing.term', 'mowing.target', 'mowing.ad_group', 'mowing.campaign'];

/** The same for what a report of some days has written: its months alone, since a look at everything takes long where there is much. */
export async function refreshStatisticsOf(
  sql: Query,
  { table, weekTable }: FactTable,
  { from, to }: { from: string; to: string },
): Promise<void> {
  const months = await sql<{ name: string }[]>`
    select c.oid::regclass::text as name
    from pg_inherits i join pg_class c on c.oid = i.inhrelid
    where i.inhparent = any(${[table, ...(weekTable === null ? [] : [weekTable])]}::text[]::regclass[])
      and right(c.relname, 7) between to_char(${from}::date - 6, 'YYYY_MM') and to_char(${to}::date, 'YYYY_MM')`;
  const names = [...months.map(({ name }) => name), ...HANGS_ON];
  await sql`analyze ${sql.unsafe(names.join(', '))}`;
}
