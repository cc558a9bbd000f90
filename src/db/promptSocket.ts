import net from 'node:net';

/**
 * Opens the socket of a database connection without waiting for more to send: left to itself, the end of every COPY
 * waits 40 ms for the other side's acknowledgement (Nagle's algorithm against delayed acknowledgement).
 */
export function promptSocket({ host, port }: { host: string[]; port: number[] }): Promise<net.Socket> {
  return new Promise((resolve, reject) => {
    const socket = net.connect({ host: host[0], port: port[0], noDelay: true });
    socket.once('error', reject);
    socket.once('connect', () => {
      socket.off('error', reject);
      resolve(socket);
    });
  });
}
