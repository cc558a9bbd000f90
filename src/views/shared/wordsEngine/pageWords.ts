import type { Remote } from 'comlink';
import { readerLocale } from '../reader';
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
