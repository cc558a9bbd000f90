import type { Remote } from 'comlink';
import { readerLocale } from '../reader';
import { earlyWorker } from '../worker/earlyWorker';
import { pageWorker } from '../worker/pageWorker';
import type { ReviewEngine } from './reviewEngine';

let engine: Remote<ReviewEngine> | null = null;

/** The page's one engine of reviews: its worker keeps a window's search terms, and is started when it is first needed. */
export function pageReview(): Remote<ReviewEngine> {
  engine ??= pageWorker<ReviewEngine>(() =>
    earlyWorker(
      'review',
      () =>
        new Worker(new URL('./review.worker.ts', import.meta.url), { type: 'module', name: readerLocale() }),
    ),
  );
  return engine;
}
