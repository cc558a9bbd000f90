import type { NegativeList } from '../../core/negatives';
import type { Query } from '../connection';

export async function readNegativeLists(sql: Query, accountId: number): Promise<NegativeList[]> {
  return sql<NegativeList[]>`
    select l.list_id as id, l.name,
      coalesce((select jsonb_agg(jsonb_build_object('match', t.match, 'expression', t.expression) order by t.place)
                from mowing.negative_list_term t where t.account_id = l.account_id and t.list_id = l.list_id), '[]') as terms,
      coalesce((select jsonb_agg(c.campaign_id order by c.campaign_id)
                from mowing.negative_list_campaign c where c.account_id = l.account_id and c.list_id = l.list_id), '[]') as "campaignIds"
    from mowing.negative_list l where l.account_id = ${accountId} order by l.name`;
}

/** Keeps a list as it is given; with `id` null a new one. @returns its id, or null when another list has the name or the id is gone */
export async function writeNegativeList(
  tx: Query,
  accountId: number,
  { id, name, terms, campaignIds }: Omit<NegativeList, 'id'> & { id: number | null },
): Promise<number | null> {
  const [taken] = await tx`
    select 1 from mowing.negative_list where account_id = ${accountId} and name = ${name} and list_id is distinct from ${id}`;
  if (taken) return null;
  const [row] =
    id === null
      ? await tx<{ id: number }[]>`
          insert into mowing.negative_list (account_id, name) values (${accountId}, ${name}) returning list_id as id`
      : await tx<{ id: number }[]>`
          update mowing.negative_list set name = ${name}, by_caller = mowing.caller() where account_id = ${accountId} and list_id = ${id} returning list_id as id`;
  if (!row) return null;
  const own = { account_id: accountId, list_id: row.id };
  await tx`delete from mowing.negative_list_term where account_id = ${accountId} and list_id = ${row.id}`;
  await tx`delete from mowing.negative_list_campaign where account_id = ${accountId} and list_id = ${row.id}`;
  if (terms.length > 0)
    await tx`insert into mowing.negative_list_term ${tx(terms.map((term, place) => ({ ...own, place, ...term })))}`;
  if (campaignIds.length > 0)
    await tx`insert into mowing.negative_list_campaign ${tx(campaignIds.map((id) => ({ ...own, campaign_id: id })))}`;
  return row.id;
}

/** @returns false when there was none */
export async function deleteNegativeList(sql: Query, accountId: number, id: number): Promise<boolean> {
  const rows =
    await sql`delete from mowing.negative_list where account_id = ${accountId} and list_id = ${id} returning 1`;
  return rows.length > 0;
}

/** Puts a term into a list, unless it is there. */
export async function addListTerm(
  tx: Query,
  accountId: number,
  listId: number,
  { match, expression }: NegativeList['terms'][number],
): Promise<void> {
  await tx`
    insert into mowing.negative_list_term (account_id, list_id, place, match, expression)
    select l.account_id, l.list_id, coalesce((select max(t.place) + 1 from mowing.negative_list_term t
      where t.account_id = l.account_id and t.list_id = l.list_id), 0), ${match}, ${expression}
    from mowing.negative_list l where l.account_id = ${accountId} and l.list_id = ${listId}
      and not exists (select from mowing.negative_list_term t where t.account_id = l.account_id and t.list_id = l.list_id
                      and t.match = ${match} and lower(t.expression) = lower(${expression}))`;
}

/** Negatives that came from an account's lists, by list. */
export async function listMadeByLists(
  sql: Query,
  accountId: number,
): Promise<{ listId: number; negativeId: number }[]> {
  return sql<{ listId: number; negativeId: number }[]>`
    select list_id as "listId", made_negative_id as "negativeId" from mowing.change
    where account_id = ${accountId} and state = 'accepted' and list_id is not null and made_negative_id is not null`;
}
