import path from 'node:path';
import Tinypool from 'tinypool';
import { MowingError } from '../../contract/mowingError';
import { ownCurrency } from '../context/ownMoney';
import type { EngineName, Engines } from './engines';

/** What a thread is asked. */
export interface ThreadAsked<E extends EngineName = EngineName> {
  engine: E;
  /** Names what it is about; the stamp names the state of everything that that hangs on. */
  key: string;
  stamp: string;
  /** Null: as the thread knows it. */
  from: Engines[E]['from'] | null;
  question: keyof Engines[E]['asked'];
  asked: unknown;
  /** What it puts into words has money with the decimals of this currency; undefined: of none. */
  currency: string | undefined;
}

/** What is asked about, and where a thread gets it that does not know it yet. */
export interface Subject<E extends EngineName> {
  key: string;
  stamp: string;
  load: () => Promise<Engines[E]['from']>;
}

// Kept on the process: the pages' build and the program around it are two bundles, and must share them.
const KEY = Symbol.for('mowing.threads');
const keeper = globalThis as unknown as Record<symbol, Map<EngineName, Tinypool> | undefined>;

/** One thread for each engine: what it keeps is large, and lies there once. */
function threadOf(engine: EngineName): Tinypool {
  const threads = (keeper[KEY] ??= new Map());
  let thread = threads.get(engine);
  if (!thread) {
    const most = Number(process.env.MOWING_THREAD_MB) || undefined;
    thread = new Tinypool({
      filename: path.resolve('dist/programs/thread.mjs'),
      runtime: 'worker_threads',
      minThreads: 1,
      maxThreads: 1,
      ...(most && { resourceLimits: { maxOldGenerationSizeMb: most } }),
    });
    threads.set(engine, thread);
  }
  return thread;
}

const TOO_LARGE =
  'The account needs more memory than a thread of Mowing has. Whoever runs it can give it more: set MOWING_THREAD_MB.';

/** One that came to its end is not asked again. */
function letGo(engine: EngineName, thread: Tinypool): void {
  if (keeper[KEY]?.get(engine) === thread) keeper[KEY].delete(engine);
  void thread.destroy();
}

/**
 * Asks the thread of an engine.
 * @returns the answer, packed
 * @throws MowingError when its memory is not enough; the next question starts it anew
 */
export async function askThread<E extends EngineName, Q extends keyof Engines[E]['asked']>(
  engine: E,
  { key, stamp, load }: Subject<E>,
  question: Q,
  asked: Engines[E]['asked'][Q],
): Promise<ArrayBuffer> {
  const ask = async (from: Engines[E]['from'] | null) => {
    const what: ThreadAsked<E> = { engine, key, stamp, from, question, asked, currency: ownCurrency() };
    const thread = threadOf(engine);
    try {
      return (await thread.run(what)) as Uint8Array<ArrayBuffer> | null;
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error;
      letGo(engine, thread);
      throw new MowingError('too-large', TOO_LARGE);
    }
  };
  const known = await ask(null);
  return (known ?? (await ask(await load()))!).buffer;
}
