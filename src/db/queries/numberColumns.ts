import { columnOf } from '../../contract/packed';
import type { Db } from '../connection';
import { withRoom } from './withRoom';

/** The columns of a query's rows, by name. Money in micros. */
export type NumberColumns<K extends string = string> = Record<K, Int32Array | Float64Array>;

/** The columns of a query's rows: each comes as one text, without an object a row. */
export async function readColumns<K extends string>(
  sql: Db,
  values: [account: number, from: string, today: string],
  names: readonly K[],
  rows: string,
): Promise<NumberColumns<K>> {
  const printed = names.map((name) => `string_agg("${name}"::text, ',') as "${name}"`);
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<Record<string, string | null>[]>(`select ${printed.join(', ')} from (${rows}) s`, values),
  );
  return Object.fromEntries(names.map((name) => [name, columnOf(row[name] ?? '')])) as NumberColumns<K>;
}
