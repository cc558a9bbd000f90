import type { Swath } from '../../contract/field';
import type { Query } from '../connection';

/** An account's swaths, by name. */
export async function listSwaths(sql: Query, accountId: number): Promise<Swath[]> {
  return sql<Swath[]>`
    select swath_id as id, name, lens, conditions, sort, window_from as "from", window_to as "to" from mowing.swath
    where account_id = ${accountId} order by lower(name)`;
}

/** Keeps a swath; one of the same name is replaced. @returns its id */
export async function upsertSwath(sql: Query, accountId: number, swath: Omit<Swath, 'id'>): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.swath (account_id, name, lens, conditions, sort, window_from, window_to)
    values (${accountId}, ${swath.name}, ${swath.lens}, ${swath.conditions}, ${swath.sort}, ${swath.from}, ${swath.to})
    on conflict (account_id, name) do update set lens = excluded.lens, conditions = excluded.conditions, sort = excluded.sort,
      window_from = excluded.window_from, window_to = excluded.window_to
    returning swath_id as id`;
  return id;
}

export async function deleteSwath(sql: Query, accountId: number, id: number): Promise<boolean> {
  const rows = await sql`
    delete from mowing.swath where account_id = ${accountId} and swath_id = ${id} returning 1`;
  return rows.length > 0;
}
