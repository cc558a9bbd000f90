import type { Query } from '../connection';

/** A term of an account: its id, and the day on which it was seen first, in days since 1970; null where none is known. */
export interface KnownTerm {
  id: number;
  firstDay: number | null;
}

/**
 * Numbers some texts in the account's dictionary; new ones go in by the order of its index.
 * @param terms each with the day on which it is seen, in days since 1970; null: it tells nothing of when shoppers typed it
 * @returns by text's place in the list
 */
export async function resolveTerms(
  tx: Query,
  accountId: number,
  terms: { text: string; day: number | null }[],
): Promise<KnownTerm[]> {
  const texts = terms.map(({ text }) => text);
  const known = await tx<{ id: number | null; firstDay: number | null }[]>`
    select t.term_id as id, t.first_day - date '1970-01-01' as "firstDay"
    from unnest(${texts}::text[]) with ordinality as n(text, place)
    left join mowing.term t on t.account_id = ${accountId} and t.text = n.text order by n.place`;
  const missing = terms.filter((_, at) => known[at].id === null);
  if (missing.length === 0) return known as KnownTerm[];
  const made = await tx<{ id: number; text: string; firstDay: number | null }[]>`
    insert into mowing.term (account_id, text, first_day)
    select ${accountId}::integer, n.text, date '1970-01-01' + min(n.day)
    from unnest(${missing.map(({ text }) => text)}::text[], ${missing.map(({ day }) => day)}::integer[]) as n(text, day)
    group by n.text order by n.text
    returning term_id as id, text, first_day - date '1970-01-01' as "firstDay"`;
  const madeOf = new Map(made.map(({ text, ...one }) => [text, one]));
  return texts.map((text, at) => (known[at].id === null ? madeOf.get(text)! : (known[at] as KnownTerm)));
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
