import type { PendingQuery, Row } from 'postgres';
import { columnOf } from '../../contract/packed';
import type { Query } from '../connection';

/** The days of a product's search term: columns of equal length, views of what was read for all. */
export type PairOfColumns<Name extends string> = { productId: number; termId: number } & Record<
  Name,
  Float64Array
>;

/**
 * Rows as columns: the driver would make an object of every row and a text of every number, and nothing else could be done meanwhile.
 * @param rows a query of whole numbers, none of them null, in the order that is wanted
 * @param columns their names in the query, by the names that they get
 * @throws RangeError where a number is null, or cannot be counted exactly
 */
export async function readColumns<Name extends string>(
  sql: Query,
  rows: PendingQuery<Row[]>,
  columns: Record<Name, string>,
): Promise<Record<Name, Float64Array>> {
  const named = Object.entries<string>(columns);
  const printed = named.map(([name, column]) => sql`string_agg(${sql(column)}::text, ',') as ${sql(name)}`);
  const [row] = await sql<[Record<string, string | null>]>`
    select ${printed.map((one, at) => (at === 0 ? one : sql`, ${one}`))} from (${rows}) r`;
  const all = named.map(([name]) => [name, Float64Array.from(columnOf(row[name] ?? ''))] as const);
  // What is null is not printed: the others would move up.
  if (all.some(([, column]) => column.length !== all[0][1].length))
    throw new RangeError(`Rows of ${named.map(([, column]) => column).join(', ')} have nulls among them.`);
  return Object.fromEntries(all) as Record<Name, Float64Array>;
}

/**
 * Rows of products, search terms and days, one entry for each product and term.
 * @param rows a query of product_id, term_id and the columns, in the order of products, terms and days; whole numbers
 */
export async function readByPair<Name extends string>(
  sql: Query,
  rows: PendingQuery<Row[]>,
  columns: Record<Name, string>,
): Promise<PairOfColumns<Name>[]> {
  const all = await readColumns<string>(sql, rows, {
    productId: 'product_id',
    termId: 'term_id',
    ...columns,
  });
  const { productId, termId } = all;
  const pairs: PairOfColumns<Name>[] = [];
  for (let from = 0, to = 0; from < productId.length; from = to) {
    while (productId[to] === productId[from] && termId[to] === termId[from]) to += 1;
    const own = Object.keys(columns).map((name) => [name, all[name].subarray(from, to)]);
    pairs.push({ productId: productId[from], termId: termId[from], ...Object.fromEntries(own) });
  }
  return pairs;
}
