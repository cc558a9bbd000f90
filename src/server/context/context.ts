import pino from 'pino';
import { connect, databaseUrl } from '../../db/connection';
import type { Db } from '../../db/connection';
import { showThatAlive } from './alive';
import type { Alive } from './alive';

// Kept on the process rather than in the module: the pages' build and the program around it are two bundles, and
// both must use, and end, the same pool.
const KEY = Symbol.for('mowing.context');

interface Context {
  sql: Db;
  log: pino.Logger;
  /** Made when it is first asked for: a program that only reads needs none. */
  alive?: Alive;
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
  await context().sql.end({ timeout: 5 });
}
