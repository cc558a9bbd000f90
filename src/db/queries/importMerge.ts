import type { Query } from '../connection';
import { keyColumns } from './factTables';
import type { FactTable } from './factTables';

/** What became of some rows. */
export interface Merged {
  kept: number;
  unchanged: number;
  /** Lines of rows that repeat an earlier row of the file. */
  repeated: number[];
}

/**
 * Settings of the transaction: room to sort a segment in memory, no just-in-time compilation, and no list looked up row by row. The
 * planner knows nothing of rows that the transaction itself has written, takes them for one, and would go through all of them for
 * each row of the file. So a query of an import may not need a nested loop either.
 */
export async function beginImport(tx: Query, accountId: number): Promise<void> {
  await tx`set local work_mem = '128MB'`;
  await tx`set local temp_buffers = '64MB'`;
  await tx`set local jit = off`;
  await tx`set local enable_nestloop = off`;
  // Imports into one account follow each other: two that name the same new campaign must not both make it.
  await tx`select pg_advisory_xact_lock(hashtext('mowing.import'), ${accountId})`;
}

/** Makes the partitions that some days need. */
export async function ensurePartitions(tx: Query, { table }: FactTable, days: string[]): Promise<void> {
  await tx`select mowing.ensure_partitions(${table.replace('mowing.', '')}, ${days}::date[])`;
}

/** The temporary table that rows pass through when others may be there already; `merged` keeps the keys of a file's rows. */
export async function makeStage(tx: Query, table: FactTable): Promise<void> {
  const keys = keyColumns(table)
    .map((column) => `${column} ${column === 'day' ? 'date' : 'integer'}`)
    .join(', ');
  const figures = table.figures.map(({ column, type }) => `${column} ${type}`).join(', ');
  await tx`create temp table stage (line integer, ${tx.unsafe(keys)}, ${tx.unsafe(figures)}) on commit drop`;
  await tx`create temp table merged (${tx.unsafe(keys)}) on commit drop`;
}

/**
 * Writes the staged rows. A row that is there already with the same figures stays untouched and is counted as unchanged;
 * of rows with the same key in one file the first counts.
 * @param firstSeen days that had no rows before this file: what is there is the file's own
 */
export async function mergeStage(
  tx: Query,
  accountId: number,
  table: FactTable,
  firstSeen: string[],
): Promise<Merged> {
  const name = tx.unsafe(table.table);
  const keys = tx.unsafe(keyColumns(table).join(', '));
  const figures = tx.unsafe(table.figures.map(({ column }) => column).join(', '));
  const same = (a: string, b: string) =>
    tx.unsafe(
      keyColumns(table)
        .map((column) => `${a}.${column} = ${b}.${column}`)
        .join(' and '),
    );
  const differ = tx.unsafe(
    `(${table.figures.map(({ column }) => `f.${column}`).join(', ')}) is distinct from (${table.figures.map(({ column }) => `r.${column}`).join(', ')})`,
  );
  const [span] = await tx<{ first: string | null; last: string | null }[]>`
    select min(day) as first, max(day) as last from stage`;
  // Bounds told as values: without them every segment would look through all months.
  const mine = tx`f.account_id = ${accountId} and f.day between ${span.first} and ${span.last}`;
  const ready = await tx`
    create temp table ready on commit drop as
    select distinct on (${keys}) s.* from stage s
    where not exists (select from merged m where ${same('m', 's')})
      and not (s.day = any(${firstSeen}::date[]) and exists (select from ${name} f where ${mine} and ${same('f', 's')}))
    order by ${keys}, s.line`;
  await tx`analyze ready`;
  const changed = await tx`
    update ${name} f set ${tx.unsafe(table.figures.map(({ column }) => `${column} = r.${column}`).join(', '))}
    from ready r where ${mine} and ${same('f', 'r')} and ${differ}`;
  const added = await tx`
    insert into ${name} (account_id, ${keys}, ${figures})
    select ${accountId}::integer, ${tx.unsafe(
      keyColumns(table)
        .map((column) => `r.${column}`)
        .join(', '),
    )}, ${figures} from ready r
    where not exists (select from ${name} f where ${mine} and ${same('f', 'r')})`;
  const repeated = await tx<{ line: number }[]>`
    select line from stage except select line from ready order by line`;
  await tx`insert into merged select ${keys} from ready where not (day = any(${firstSeen}::date[]))`;
  await tx`drop table ready`;
  await tx`truncate stage`;
  const kept = changed.count + added.count;
  return { kept, unchanged: ready.count - kept, repeated: repeated.map(({ line }) => line) };
}
