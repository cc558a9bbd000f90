import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';

/** A port that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
