import { wrap } from 'comlink';
import { answersTravelLight } from './answers';
import { forgetAhead } from './workerLoad';
import type { Endpoint, Remote } from 'comlink';

/** What is used of a worker. */
type WorkerLike = Endpoint & Pick<Worker, 'terminate'>;

/** The computation stopped, or does not answer any more: whoever waits is told so, in words for the page. */
export class WorkerFailed extends Error {
  override name = 'WorkerFailed';
}

/** Counts how often the reader asked for another try: a worker that failed is started again for no other reason. */
let tries = 0;
export const tryWorkersAgain = () => {
  tries += 1;
};

export interface Patience {
  /** How often it is asked whether it lives, ms. */
  pingMs: number;
  /** After so long without a sign of life it is given up, ms. Large accounts keep it busy for many seconds at a time. */
  silentMs: number;
}

const USUAL: Patience = { pingMs: 5_000, silentMs: 120_000 };

/**
 * An engine in a worker, started when it is first asked. A worker that breaks or goes silent fails every question that waits, instead
 * of leaving the page at "Working out …" for ever. What it held is gone with it: later questions fail alike until the reader asks
 * for another try.
 */
export function pageWorker<T extends object>(
  start: () => WorkerLike,
  { pingMs, silentMs }: Patience = USUAL,
): Remote<T> {
  let current: Held<T> | null = null;
  let failed: { error: WorkerFailed; tries: number } | null = null;

  function held(): Held<T> {
    if (current) return current;
    answersTravelLight();
    const worker = start();
    const own: Held<T> = { worker, engine: wrap<T>(worker), waiting: new Set(), unanswered: 0 };
    worker.addEventListener('error', (event) => {
      const { message } = event as ErrorEvent;
      giveUp(own, `The computation stopped${message ? `: ${message}` : ''}.`);
    });
    worker.addEventListener('messageerror', () => giveUp(own, 'The computation gave an unreadable answer.'));
    current = own;
    return own;
  }

  function giveUp(own: Held<T>, sentence: string): void {
    if (current === own) current = null;
    forgetAhead();
    clearInterval(own.timer);
    own.worker.terminate();
    const error = new WorkerFailed(sentence);
    failed = { error, tries };
    for (const fail of own.waiting) fail(error);
    own.waiting.clear();
  }

  /**
   * Asks for a sign of life as long as anybody waits. Silence is counted in questions asked, not by the clock: a page that slept, or was
   * busy itself, has not listened meanwhile and may not blame the worker for it.
   */
  function watch(own: Held<T>): void {
    own.unanswered = 0;
    own.timer ??= setInterval(() => {
      if (own.waiting.size === 0) {
        clearInterval(own.timer);
        own.timer = undefined;
      } else if (own.unanswered * pingMs > silentMs)
        giveUp(own, `The computation has not answered for ${Math.round(silentMs / 1000)} seconds.`);
      else {
        own.unanswered += 1;
        void (own.engine as unknown as { ping: () => Promise<true> }).ping().then(() => (own.unanswered = 0));
      }
    }, pingMs);
  }

  const ask = (method: string, args: unknown[]) =>
    new Promise((resolve, reject) => {
      if (failed?.tries === tries) return reject(failed.error);
      failed = null;
      const own = held();
      own.waiting.add(reject);
      watch(own);
      const call = (own.engine as unknown as Record<string, (...args: unknown[]) => Promise<unknown>>)[
        method
      ];
      call(...args)
        .then(resolve, reject)
        .finally(() => own.waiting.delete(reject));
    });

  return new Proxy({} as Remote<T>, {
    get: (_, method) =>
      // Without a "then" of its own: a proxy is no promise.
      typeof method === 'string' && method !== 'then' ? (...args: unknown[]) => ask(method, args) : undefined,
  });
}

interface Held<T> {
  worker: WorkerLike;
  engine: Remote<T>;
  /** Fails a question that waits. */
  waiting: Set<(error: Error) => void>;
  /** Signs of life asked for since one was last heard. */
  unanswered: number;
  timer?: ReturnType<typeof setInterval>;
}
