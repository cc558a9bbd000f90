import type { AccountInfo } from '../../../contract/api';
import type { WorkerLoad } from '../worker/workerLoad';
import { pageWords } from './pageWords';
import type { LoadedWords } from './types';

/** An account's terms of the last 90 days; for one that has terms. */
export const wordsLoad = (account: AccountInfo | undefined): WorkerLoad<LoadedWords> => ({
  key: ['words', account?.id, account?.revision, account?.lastDay],
  load: () => pageWords().load(account!.id, account!.lastDay!),
});
