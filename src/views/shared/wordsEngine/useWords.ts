import type { AccountInfo } from '../../../contract/api';
import { useWorkerLoad } from '../worker/useWorkerLoad';
import type { LoadedWords } from './types';
import { wordsLoad } from './wordsLoad';

/** An account's terms of the last 90 days, in the worker. */
export function useWords(account: AccountInfo | undefined, isWanted: boolean) {
  const { data, error, onGone } = useWorkerLoad<LoadedWords>(
    wordsLoad(account),
    isWanted && account?.lastDay != null,
  );
  return { loaded: data, error, onGone };
}
