import { chmodSync, existsSync, readFileSync, writeFileSync, rmSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import net from 'node:net';

/** Reads a small text file, or makes it (mode 0600) with the text `make` returns. */
export function keep(file, make) {
  if (existsSync(file)) return readFileSync(file, 'utf8').trim();
  const text = String(make());
  writeFileSync(file, text, { mode: 0o600 });
  chmodSync(file, 0o600);
  return text;
}

/** A secret of 32 hexadecimal characters. */
export const newSecret = () => randomBytes(16).toString('hex');

/** Whether a TCP port on loopback can be listened on. */
export function isPortFree(port) {
  return new Promise((resolve) => {
    const probe = net.createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1' }, () => probe.close(() => resolve(true)));
  });
}

function anyFreePort() {
  return new Promise((resolve, reject) => {
    const probe = net.createServer();
    probe.once('error', reject);
    probe.listen({ port: 0, host: '127.0.0.1' }, () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** The port kept in `file` while it is free (or `mayBeTaken`), else a new free one that is kept there. */
export async function keepPort(file, mayBeTaken = false) {
  if (existsSync(file)) {
    const port = Number(readFileSync(file, 'utf8'));
    if (mayBeTaken || (await isPortFree(port))) return port;
    rmSync(file);
  }
  const port = await anyFreePort();
  writeFileSync(file, String(port), { mode: 0o600 });
  return port;
}
