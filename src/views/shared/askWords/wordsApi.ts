import type { WordQuestion, WordsAskedWith } from '../../../contract/wordQuestions';
import type { WordAnswers } from '../../../plans/words';
import { ask, asking, query } from '../ask';

/** Questions that are put with what is asked for. */
type Put = Exclude<WordQuestion, 'summary' | 'standing'>;

/** What views ask about an account's words. */
export const wordsApi = {
  words: (account: number) => ask<WordAnswers['summary']>(`/api/words?${query({ account })}`),
  standingNegatives: (account: number) =>
    ask<WordAnswers['standing']>(`/api/words/standing?${query({ account })}`),
  askWords: <Q extends Put>(account: number, question: Q, asked: WordsAskedWith[Q]) =>
    ask<WordAnswers[Q]>(`/api/words/${question}`, asking({ account, ...asked })),
};
