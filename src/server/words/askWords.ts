import { unpack } from '../../contract/packed';
import type { WordQuestion, WordsAskedWith } from '../../contract/wordQuestions';
import { addDays } from '../../core/units';
import { WORDS_DAYS } from '../../core/words';
import type { WordAnswers } from '../../plans/words';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { loadTreeColumns } from '../field/loadTree';
import { loadReviewColumns } from '../review/loadReview';
import { askThread } from '../threads/askThread';
import type { Subject } from '../threads/askThread';
import { stampOf } from '../threads/stampOf';

/** An account's terms of the last 90 days as everything stands now. */
async function wordsOf(accountId: number): Promise<Subject<'words'>> {
  const account = await needAccount(accountId);
  const lastDay = account.lastDay ?? todayOf(account);
  return {
    key: String(accountId),
    stamp: await stampOf(account),
    load: async () => {
      const [review, { lines, products }] = await Promise.all([
        loadReviewColumns(accountId, addDays(lastDay, 1 - WORDS_DAYS), lastDay),
        loadTreeColumns(accountId, { targets: 'none' }),
      ]);
      return { review, tree: { lines, products } };
    },
  };
}

/** Asks about an account's words. */
export async function askWords<Q extends WordQuestion>(
  accountId: number,
  question: Q,
  asked: WordsAskedWith[Q],
): Promise<WordAnswers[Q]> {
  return unpack(await askThread('words', await wordsOf(accountId), question, asked));
}
