import type { Remote } from 'comlink';
import type { AccountInfo } from '../../../contract/api';
import type { LoadedWords } from './types';
import { readerLocale } from '../reader';
import { useWorkerLoad } from '../worker/useWorkerLoad';
import { pageWorker } from '../worker/pageWorker';
import type { WordsEngine } from './wordsEngine';

let engine: Remote<WordsEngine> | null = null;

/** The page's one engine of words; its worker is started when it is first needed. */
export function pageWords(): Remote<WordsEngine> {
  engine ??= pageWorker<WordsEngine>(
    () => new Worker(new URL('./words.worker.ts', import.meta.url), { type: 'module', name: readerLocale() }),
  );
  return engine;
}

/** An account's terms of the last 90 days, in the worker. */
export function useWords(account: AccountInfo | undefined, isWanted: boolean) {
  const { data, error, onGone } = useWorkerLoad<LoadedWords>(
    ['words', account?.id, account?.revision, account?.lastDay],
    () => pageWords().load(account!.id, account!.lastDay!),
    isWanted && account?.lastDay != null,
  );
  return { loaded: data, error, onGone };
}
