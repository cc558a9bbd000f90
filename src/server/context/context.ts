import pino from 'pino';
import { connect, databaseUrl } from '../../db/connection';
import type { Db } from '../../db/connection';
import type { SlowQuery } from '../../db/watched';
import { asReading, readingSql } from './reading';
import { showThatAlive } from './alive';
import type { Alive } from './alive';

// Kept on the process rather than in the module: the pages' build and the program around it are two bundles, and
// both must use, and end, the same pool.
const KEY = Symbol.for('mowing.context');

/** Readings that are worked on at once, each with a connection for certain. */
export const READING_AT_ONCE = 6;
const LONGEST_READING_MS = 120_000;

interface Context {
  sql: Db;
  /** Connections of their own for requests that only read: they keep no sending, import or job waiting. */
  reads: Db;
  log: pino.Logger;
  /** Made when it is first asked for: a program that only reads needs none. */
  alive?: Alive;
}

function make(): Context {
  const log = pino({ level: process.env.MOWING_LOG ?? 'info', base: { part: 'app' } });
  const onSlow = (query: SlowQuery) => log.warn(query, 'slow query');
  return {
    sql: connect(databaseUrl(), { onSlow }),
    reads: connect(databaseUrl(), { max: READING_AT_ONCE, longestMs: LONGEST_READING_MS, onSlow }),
    log,
  };
}

function context(): Context {
  const keeper = globalThis as unknown as Record<symbol, Context | undefined>;
  return (keeper[KEY] ??= make());
}

/** The application's connection pool; that of the reading under way, where there is one. */
export const db = (): Db => readingSql() ?? context().sql;

/** Works for a request that only reads; what the database does for it ends when its client has left. */
export const reading = <T>(signal: AbortSignal, work: () => Promise<T>): Promise<T> =>
  asReading(context().reads, signal, work);

/** The application's log: one JSON object a line. */
export const log = (): pino.Logger => context().log;

/** The number by which others know that this program lives; see `isGone`. @throws when the database does not answer */
export async function programNo(): Promise<number> {
  const kept = context();
  const mine = (kept.alive ??= showThatAlive((onLost) =>
    connect(databaseUrl(), { max: 1, stays: true, onclose: onLost }),
  ));
  try {
    return await mine.no;
  } catch (error) {
    if (kept.alive === mine) kept.alive = undefined;
    await mine.end();
    throw error;
  }
}

/** Ends the pool once its queries are done, at most 5 seconds later. */
export async function closeContext(): Promise<void> {
  await context().alive?.end();
  await context().reads.end({ timeout: 5 });
  await context().sql.end({ timeout: 5 });
}
