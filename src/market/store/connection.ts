import net from 'node:net';
import postgres from 'postgres';

/**
 * Sends at once: left to itself, the end of every COPY waits 40 ms for an acknowledgement. Handed over before it is
 * connected: the driver takes a connection back only when its socket closes.
 */
const openSocket = ({ host, port }: { host: string[]; port: number[] }): net.Socket =>
  net.connect({ host: host[0], port: port[0], noDelay: true });

/** The market's own pool; days as strings, whole numbers as numbers. */
export function connectMarket(url: string): MarketDb {
  // The driver takes a socket, and its types do not say so.
  const options = {
    max: 6,
    socket: openSocket,
    onnotice: () => {},
    connection: {
      application_name: 'quaymarket',
      client_min_messages: 'warning',
      // Its tables have often just been filled, and the planner knows nothing of them: row by row would take minutes.
      enable_nestloop: 'off',
    },
    types: {
      day: { to: 1082, from: [1082], serialize: (day: string) => day, parse: (day: string) => day },
      exact: { to: 20, from: [20, 1700], serialize: (value: number) => String(value), parse: Number },
    },
  } as postgres.Options<{ day: postgres.PostgresType; exact: postgres.PostgresType }>;
  return postgres(url, options) as unknown as MarketDb;
}

export type MarketDb = postgres.Sql<{ day: string; exact: number }>;
export type MarketTx = MarketDb | postgres.TransactionSql<{ day: string; exact: number }>;
