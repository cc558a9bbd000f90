import { connect, createServer } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';

/** What happens to calls on the wire. */
export type WireMood = 'passes' | 'hangs' | 'cuts the answer';

/**
 * A wire to another server that can hang: requests go in, and no answer ever comes out; or the answer is cut off after the other side has
 * acted.
 */
export async function aWire(to: string) {
  const { port: target } = new URL(to);
  let mood: WireMood = 'passes';
  const open = new Set<Socket>();
  const server = createServer((near) => {
    const far = connect(Number(target), '127.0.0.1');
    open.add(near).add(far);
    near.on('data', (part) => {
      if (mood !== 'hangs') far.write(part);
    });
    far.on('data', (part) => {
      if (mood === 'passes') near.write(part);
      else if (mood === 'cuts the answer') near.destroy();
    });
    for (const [one, other] of [
      [near, far],
      [far, near],
    ]) {
      one.on('error', () => other.destroy());
      one.on('close', () => {
        other.destroy();
        open.delete(one);
      });
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    set: (next: WireMood) => (mood = next),
    end: () => {
      for (const socket of open) socket.destroy();
      return new Promise((resolve) => server.close(resolve));
    },
  };
}
