import pino from 'pino';
import { connect, databaseUrl } from '../../db/connection';
import type { Db } from '../../db/connection';

// Kept on the process rather than in the module: the pages' build and the program around it are two bundles, and
// both must use, and end, the same pool.
const KEY = Symbol.for('mowing.context');

interface Context {
  sql: Db;
  log: pino.Logger;
}

function make(): Context {
  return {
    sql: connect(databaseUrl()),
    log: pino({ level: process.env.MOWING_LOG ?? 'info', base: { part: 'app' } }),
  };
}

function context(): Context {
  const keeper = globalThis as unknown as Record<symbol, Context | undefined>;
  return (keeper[KEY] ??= make());
}

/** The application's connection pool. */
export const db = (): Db => context().sql;

/** The application's log: one JSON object a line. */
export const log = (): pino.Logger => context().log;

/** Ends the pool once its queries are done, at most 5 seconds later. */
export async function closeContext(): Promise<void> {
  await context().sql.end({ timeout: 5 });
}
