import { AsyncLocalStorage } from 'node:async_hooks';
import type { Db } from '../../db/connection';

/** What a request that only reads works with: queries of its own, which end when its client has left. */
interface Reading {
  sql: Db;
  /** Where work goes on that others wait for too; undefined: as if nothing were read for a request. */
  shared?: Db;
}

// Kept on the process: the pages' build and the program around it are two bundles, and must share it.
const KEY = Symbol.for('mowing.reading');
const keeper = globalThis as unknown as Record<symbol, AsyncLocalStorage<Reading> | undefined>;
const current = (keeper[KEY] ??= new AsyncLocalStorage<Reading>());

/** Does work that several wait for: it does not end because the one that asked first has left. */
export function forAll<T>(work: () => T): T {
  const shared = current.getStore()?.shared;
  return shared ? onPool(shared, work) : current.exit(work);
}

/** Works as where nothing is read for a request: a reading writes nothing itself. */
export const asUsual = <T>(work: () => T): T => current.exit(work);

/** Works with a pool whoever asked for it. */
export const onPool = <T>(pool: Db, work: () => T): T => current.run({ sql: pool, shared: pool }, work);

/** The queries of the reading under way; undefined where nothing is read for a request. */
export const readingSql = (): Db | undefined => current.getStore()?.sql;

/** What the driver's queries know of themselves. */
interface Watched {
  executed: boolean;
  active: boolean;
  state: unknown;
  cancel: () => void;
}

/**
 * Runs the work of a request that only reads.
 * @param pool of its own for readings: a cancel that comes late must never meet somebody's writing
 * @param isShared whether work that others wait for too goes on there
 * @param signal aborted when the client has left: what runs for it in the database ends
 */
export async function asReading<T>(
  { pool, isShared }: { pool: Db; isShared: boolean },
  signal: AbortSignal,
  work: () => Promise<T>,
): Promise<T> {
  const queries = new Set<Watched>();
  const sql = new Proxy(pool, {
    apply: (query, self, args) => {
      signal.throwIfAborted();
      const made = Reflect.apply(query as never, self, args) as Watched;
      if (typeof made?.cancel === 'function') queries.add(made);
      return made;
    },
  });
  const leave = () => {
    // Those that run, or wait for a connection; fragments are never executed, and what is done is not active.
    for (const one of queries) if (one.executed && (one.active || one.state === null)) one.cancel();
  };
  signal.throwIfAborted();
  signal.addEventListener('abort', leave, { once: true });
  try {
    return await current.run({ sql, ...(isShared && { shared: pool }) }, work);
  } finally {
    signal.removeEventListener('abort', leave);
  }
}
