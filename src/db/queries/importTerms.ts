import type { Query } from '../connection';

/** Numbers some texts in the account's dictionary; new ones go in by the order of its index. @returns id by text's place in the list */
export async function resolveTerms(tx: Query, accountId: number, texts: string[]): Promise<number[]> {
  const known = await tx<{ id: number | null }[]>`
    select t.term_id as id from unnest(${texts}::text[]) with ordinality as n(text, place)
    left join mowing.term t on t.account_id = ${accountId} and t.text = n.text order by n.place`;
  const missing = texts.filter((_, at) => known[at].id === null);
  if (missing.length === 0) return known.map(({ id }) => id!);
  const made = await tx<{ id: number; text: string }[]>`
    insert into mowing.term (account_id, text)
    select ${accountId}::integer, n.text from unnest(${missing}::text[]) as n(text) group by n.text order by n.text
    returning term_id as id, text`;
  const madeIds = new Map(made.map(({ id, text }) => [text, id]));
  return texts.map((text, at) => known[at].id ?? madeIds.get(text)!);
}

/** Notes on which day terms were seen first; an earlier day that is known stays. @param days days since 1970, by term id */
export async function noteFirstDays(
  tx: Query,
  accountId: number,
  days: ReadonlyMap<number, number>,
): Promise<void> {
  if (days.size === 0) return;
  await tx`
    update mowing.term t set first_day = date '1970-01-01' + n.day
    from unnest(${[...days.keys()]}::integer[], ${[...days.values()]}::integer[]) as n(id, day)
    where t.account_id = ${accountId} and t.term_id = n.id and coalesce(t.first_day > date '1970-01-01' + n.day, true)`;
}
