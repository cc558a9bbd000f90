import net from 'node:net';

/**
 * Opens the socket of a database connection without waiting for more to send: left to itself, the end of every COPY
 * waits 40 ms for the other side's acknowledgement (Nagle's algorithm against delayed acknowledgement).
 *
 * The socket is handed over before it is connected. Waiting for it here would break the pool: Postgres.js takes a
 * connection back only when its socket closes, so one that was refused before would be lost to the pool for good.
 */
export function promptSocket({ host, port }: { host: string[]; port: number[] }): net.Socket {
  return net.connect({ host: host[0] ?? '127.0.0.1', port: port[0] ?? 5432, noDelay: true });
}
