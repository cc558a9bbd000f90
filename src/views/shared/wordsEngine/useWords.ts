import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import type { AccountInfo } from '../../../contract/api';
import type { LoadedWords } from './types';
import { pageWorker } from '../worker/pageWorker';
import type { WordsEngine } from './wordsEngine';

let engine: Remote<WordsEngine> | null = null;

/** The page's one engine of words; its worker is started when it is first needed. */
export function pageWords(): Remote<WordsEngine> {
  engine ??= pageWorker<WordsEngine>(
    () => new Worker(new URL('./words.worker.ts', import.meta.url), { type: 'module' }),
  );
  return engine;
}

/** An account's terms of the last 90 days, in the worker. */
export function useWords(account: AccountInfo | undefined, isWanted: boolean) {
  const { data, error } = useQuery<LoadedWords, Error>({
    queryKey: ['words', account?.id, account?.revision, account?.lastDay],
    queryFn: () => pageWords().load(account!.id, account!.lastDay!),
    enabled: isWanted && account?.lastDay != null,
    staleTime: Infinity,
    gcTime: 0,
    meta: { inWorker: true },
    refetchOnWindowFocus: false,
  });
  return { loaded: data, error };
}
