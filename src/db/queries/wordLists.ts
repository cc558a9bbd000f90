import type { WordLists } from '../../core/matching';
import type { Query } from '../connection';

export async function readWordLists(sql: Query, accountId: number): Promise<WordLists> {
  const rows = await sql<{ list: keyof WordLists; word: string }[]>`
    select list, word from mowing.list_word where account_id = ${accountId} order by list, place`;
  const of = (list: keyof WordLists) => rows.filter((row) => row.list === list).map(({ word }) => word);
  return { own: of('own'), rival: of('rival'), unwanted: of('unwanted') };
}

/** Keeps these words in place of all that were there. */
export async function replaceWordLists(tx: Query, accountId: number, lists: WordLists): Promise<void> {
  await tx`delete from mowing.list_word where account_id = ${accountId}`;
  const rows = (Object.keys(lists) as (keyof WordLists)[]).flatMap((list) =>
    lists[list].map((word, place) => ({ account_id: accountId, list, place, word })),
  );
  if (rows.length > 0) await tx`insert into mowing.list_word ${tx(rows)}`;
}
