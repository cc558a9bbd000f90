import postgres from 'postgres';
import { promptSocket } from './promptSocket';
import { watched } from './watched';
import type { SlowQuery } from './watched';

/**
 * A connection pool with Mowing's types fixed: days come as 'YYYY-MM-DD' strings, bigint as a number while it
 * is exact (money in micros up to 9 billion units), timestamps as ISO strings.
 */
export type Db = postgres.Sql<{ day: string; exact: number; time: string }>;

/** One transaction, with savepoints. */
export type Transaction = postgres.TransactionSql<{ day: string; exact: number; time: string }>;

/** What runs inside a transaction or outside it. */
export type Query = Db | Transaction;

function exactNumber(text: string): number {
  const value = Number(text);
  if (!Number.isSafeInteger(value))
    throw new Error(`The database holds ${text}, which is too large to be exact here.`);
  return value;
}

/** Opens a pool. Nothing connects before the first query. @param options.stays its connections are never closed for being idle or old @param options.longestMs a statement that takes longer is ended @param options.isReadOnly what would write is refused @param options.onSlow hears of each that took long */
export function connect(
  url: string,
  options: {
    max?: number;
    onclose?: () => void;
    stays?: boolean;
    longestMs?: number;
    isReadOnly?: boolean;
    onSlow?: (query: SlowQuery) => void;
  } = {},
): Db {
  const sql = postgres(url, {
    max: options.max ?? 8,
    onclose: options.onclose,
    socket: promptSocket,
    idle_timeout: options.stays ? 0 : 60,
    ...(options.stays && { max_lifetime: 0 }),
    connect_timeout: 10,
    onnotice: () => {},
    // A pooler gives each transaction another connection: statements are not kept on them, nor settings.
    prepare: !isPooled(),
    connection: {
      application_name: 'mowing',
      ...(!isPooled() && {
        client_min_messages: 'warning',
        ...(options.longestMs && { statement_timeout: options.longestMs }),
        ...(options.isReadOnly && { default_transaction_read_only: true }),
      }),
    },
    types: {
      day: { to: 1082, from: [1082], serialize: (day: string) => day, parse: (day: string) => day },
      exact: { to: 20, from: [20, 1700], serialize: (value: number) => String(value), parse: exactNumber },
      time: {
        to: 1184,
        from: [1114, 1184],
        serialize: (time: string) => time,
        parse: (time: string) => new Date(time).toISOString(),
      },
    },
  } as postgres.Options<Record<string, postgres.PostgresType>>) as unknown as Db;
  return watched(sql, options.onSlow ?? (() => {}));
}

/** Whether DATABASE_URL leads to a pooler that gives each transaction another connection (PgBouncer, pool_mode=transaction). */
const isPooled = () => process.env.DATABASE_POOL === 'transaction';

/** Where a connection can be held for as long as a program lives. @throws where only a pooler is known */
export function directUrl(): string {
  const url = process.env.DATABASE_DIRECT_URL;
  if (!url && isPooled())
    throw new Error(
      'DATABASE_DIRECT_URL is not set; with DATABASE_POOL=transaction it names the PostgreSQL behind the pooler, for the one connection by which each program shows that it lives.',
    );
  return url || databaseUrl();
}

/** A copy of the database that follows it, for reading; null: there is none. */
export const readUrl = (): string | null => process.env.DATABASE_READ_URL || null;

/** Database address from the environment. @throws when DATABASE_URL is not set. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; it names the PostgreSQL that Mowing works on.');
  return url;
}
