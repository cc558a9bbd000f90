import type { Db } from '../connection';
import { withRoom } from './withRoom';

/** Columns printed by PostgreSQL, numbers joined by commas. Money in micros. */
export type PrintedColumns = Record<string, string>;

/** The columns of a query's rows, each as one text: they pass on as they are, without an object a row. */
export async function printColumns(
  sql: Db,
  values: [account: number, from: string, today: string],
  names: string[],
  rows: string,
): Promise<PrintedColumns> {
  const printed = names.map((name) => `string_agg("${name}"::text, ',') as "${name}"`);
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<Record<string, string | null>[]>(`select ${printed.join(', ')} from (${rows}) s`, values),
  );
  return Object.fromEntries(names.map((name) => [name, row[name] ?? '']));
}
