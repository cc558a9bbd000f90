import { EARLY } from './workerScript';

/** The workers of the page. */
export type WorkerName = 'field' | 'review';

/** The worker that the page started already, once; else one that is started now. */
export function earlyWorker(name: WorkerName, start: () => Worker): Worker {
  const page = globalThis as unknown as Record<string, { of: WorkerName; worker: Worker } | undefined>;
  const early = page[EARLY];
  if (early?.of !== name) return start();
  page[EARLY] = undefined;
  early.worker.onerror = null;
  return early.worker;
}
