import { matchForm, onceByForm } from '../../core/matching';
import type { WordLists } from '../../core/matching';
import { MowingError } from '../../contract/mowingError';
import { readWordLists, replaceWordLists } from '../../db/queries/wordLists';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** The words by which an account tells its terms apart. */
export async function loadWordLists(account: number): Promise<{ lists: WordLists }> {
  await needAccount(account);
  return { lists: await readWordLists(db(), account) };
}

/** Keeps the words, each once. @throws MowingError for one that no term could hold */
export async function keepWordLists(
  caller: Caller,
  account: number,
  lists: WordLists,
): Promise<{ lists: WordLists }> {
  await needAccount(account);
  for (const word of [...lists.own, ...lists.rival, ...lists.unwanted])
    if (matchForm(word) === '')
      throw new MowingError(
        'bad-request',
        `“${word}” holds no word that a shopper could search for. The lists stay as they were.`,
      );
  const once = (words: readonly string[]) => onceByForm(words, (word) => word);
  const kept = { own: once(lists.own), rival: once(lists.rival), unwanted: once(lists.unwanted) };
  await recorded(caller, account, async (tx, note) => {
    const from = await readWordLists(tx, account);
    await replaceWordLists(tx, account, kept);
    note({ what: 'keep brands and words', from, to: kept });
  });
  return { lists: kept };
}
