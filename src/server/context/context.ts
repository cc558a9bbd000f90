import pino from 'pino';
import { connect, databaseUrl, directUrl, readUrl } from '../../db/connection';
import type { Db } from '../../db/connection';
import type { SlowQuery } from '../../db/watched';
import { asReading, onPool, readingSql } from './reading';
import { followedBy, isOfReplica } from './replica';
import type { Replica } from './replica';
import { showThatAlive } from './alive';
import type { Alive } from './alive';

// Kept on the process rather than in the module: the pages' build and the program around it are two bundles, and
// both must use, and end, the same pool.
const KEY = Symbol.for('mowing.context');

/** Readings that are worked on at once, each with a connection for certain. */
export const READING_AT_ONCE = 6;
const LONGEST_READING_MS = 120_000;

/** A connection that one piece of work has for itself. It stays for the next, as long as the driver keeps an idle one. */
export interface OwnClient {
  sql: Db;
  /** Hears of its loss; null: nothing is under way on it. */
  onLost: (() => void) | null;
}

interface Context {
  sql: Db;
  /** Connections of their own for requests that only read: they keep no sending, import or job waiting. */
  reads: Db;
  /** Null: one database does everything. */
  replica: Replica | null;
  log: pino.Logger;
  /** Connections that wait for the next import. */
  ownClients: OwnClient[];
  /** Made when it is first asked for: a program that only reads needs none. */
  alive?: Alive;
}

function make(): Context {
  const log = pino({ level: process.env.MOWING_LOG ?? 'info', base: { part: 'app' } });
  const onSlow = (query: SlowQuery) => log.warn(query, 'slow query');
  const limits = { longestMs: LONGEST_READING_MS, isReadOnly: true, onSlow };
  const sql = connect(databaseUrl(), { onSlow });
  const copy = readUrl();
  const onTrouble = (err: unknown) => log.warn({ err }, 'the copy for reading is passed by for a while');
  return {
    sql,
    reads: connect(databaseUrl(), { max: READING_AT_ONCE, ...limits }),
    replica:
      copy === null
        ? null
        : followedBy(sql, connect(copy, { max: 2 * READING_AT_ONCE, ...limits }), onTrouble),
    log,
    ownClients: [],
  };
}

const keeper = globalThis as unknown as Record<symbol, Context | undefined>;
const context = (): Context => (keeper[KEY] ??= make());

/** The application's connection pool; that of the reading under way, where there is one. */
export const db = (): Db => readingSql() ?? context().sql;

/**
 * Works for a request that only reads; what the database does for it ends when its client has left. Where there is a copy that shows
 * everything written so far, it works there; where that fails, once more with the database itself.
 */
export async function reading<T>(signal: AbortSignal, work: () => Promise<T>): Promise<T> {
  const { reads, replica } = context();
  const here = () => asReading({ pool: reads, isShared: false }, signal, work);
  if (!replica || !(await replica.hasCaughtUp())) return here();
  try {
    return await asReading({ pool: replica.sql, isShared: true }, signal, work);
  } catch (error) {
    if (signal.aborted || !isOfReplica(error)) throw error;
    replica.rest(error);
    return here();
  }
}

/** Works ahead of any request: on the copy for reading, where there is one. */
export async function readingAhead<T>(work: () => Promise<T>): Promise<T> {
  const { replica } = context();
  return replica && (await replica.hasCaughtUp()) ? onPool(replica.sql, work) : work();
}

/** Connections of imports that are done, for the next ones; `withOwnClient` takes and gives them back. */
export const ownClients = (): OwnClient[] => context().ownClients;

/** The application's log: one JSON object a line. */
export const log = (): pino.Logger => context().log;

/** The number by which others know that this program lives; see `isGone`. @throws when the database does not answer */
export async function programNo(): Promise<number> {
  const kept = context();
  const mine = (kept.alive ??= showThatAlive((onLost) =>
    connect(directUrl(), { max: 1, stays: true, onclose: onLost }),
  ));
  try {
    return await mine.no;
  } catch (error) {
    if (kept.alive === mine) kept.alive = undefined;
    await mine.end();
    throw error;
  }
}

/** Ends the pools once their queries are done, at most 5 seconds later; whoever asks after that begins anew. */
export async function closeContext(): Promise<void> {
  const { alive, ownClients: spares, reads, replica, sql } = context();
  keeper[KEY] = undefined;
  await alive?.end();
  await reads.end({ timeout: 5 });
  await replica?.sql.end({ timeout: 5 });
  await Promise.all(spares.map((client) => client.sql.end({ timeout: 5 })));
  await sql.end({ timeout: 5 });
}
