import type { Remote } from 'comlink';
import { readerLocale } from '../reader';
import { earlyWorker } from '../worker/earlyWorker';
import { pageWorker } from '../worker/pageWorker';
import type { FieldEngine } from './fieldEngine';

let engine: Remote<FieldEngine> | null = null;

/** The page's one engine: its worker keeps the account's figures, and is started when it is first needed. */
export function pageEngine(): Remote<FieldEngine> {
  engine ??= pageWorker<FieldEngine>(() =>
    earlyWorker(
      'field',
      () =>
        new Worker(new URL('./field.worker.ts', import.meta.url), { type: 'module', name: readerLocale() }),
    ),
  );
  return engine;
}
