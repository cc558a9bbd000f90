import type { Query } from '../connection';

/**
 * Where an account's figures by target are. One that is fed search-term reports alone has no rows by target: there its
 * terms are summed instead.
 */
export async function targetTable(
  sql: Query,
  accountId: number,
  from: string,
  to: string,
): Promise<'target_day' | 'term_day'> {
  const rows = await sql`
    select 1 from mowing.target_day where account_id = ${accountId} and day between ${from} and ${to} limit 1`;
  return rows.length > 0 ? 'target_day' : 'term_day';
}
