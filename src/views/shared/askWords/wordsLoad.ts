import type { AccountInfo } from '../../../contract/api';
import type { WordsSummary } from '../../../plans/words';
import { api } from '../api';
import type { WorkerLoad } from '../worker/workerLoad';

/** Everything that answers about an account's words hang on. */
export const wordsState = (account: AccountInfo | undefined) =>
  [account?.id, account?.revision, account?.targetAcos, account?.lastDay] as const;

/** What terms of the last 90 days there are; for an account that has terms. */
export const wordsLoad = (account: AccountInfo | undefined): WorkerLoad<WordsSummary> => ({
  key: ['words', ...wordsState(account)],
  load: () => api.words(account!.id),
});
