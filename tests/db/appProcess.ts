import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { freePort } from '../make/freePort';

interface AppOptions {
  market?: { url: string; secret: string };
  env?: Record<string, string>;
}

/** The real application as a process of its own on the test's database: it can be killed, and opened again. */
export async function anApp({ market, env = {} }: AppOptions = {}) {
  const port = await freePort();
  const folder = mkdtempSync(path.join(tmpdir(), 'mowing-app-'));
  const url = `http://127.0.0.1:${port}`;
  let child: ChildProcess | undefined;
  let output = '';
  const open = async () => {
    child = spawn(process.execPath, ['dist/programs/app.mjs'], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        ASTRO_NODE_AUTOSTART: 'disabled',
        MOWING_PORT: String(port),
        MOWING_DATA_DIR: folder,
        MOWING_MARKET_URL: market?.url ?? 'http://127.0.0.1:9',
        MOWING_MARKET_SECRET: market?.secret ?? '',
        MOWING_LOG: 'warn',
        ...env,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    child.stdout!.on('data', (part) => (output = `${output}${part}`.slice(-20_000)));
    child.stderr!.on('data', (part) => (output = `${output}${part}`.slice(-20_000)));
    for (let tries = 0; ; tries += 1) {
      const answer = await fetch(`${url}/api/revision?account=0`).catch(() => null);
      if (answer) return;
      if (tries > 300) throw new Error(`The application did not open.\n${output}`);
      await sleep(50);
    }
  };
  const kill = async (signal: NodeJS.Signals = 'SIGKILL') => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child!.once('exit', resolve));
    child.kill(signal);
    await ended;
  };
  await open();
  return {
    url,
    port,
    open,
    kill,
    output: () => output,
    pid: () => child!.pid!,
    /** A call to the API: status and JSON; null when the application is not there to answer. */
    ask: async (where: string, body?: unknown, method = body === undefined ? 'GET' : 'POST') => {
      try {
        const answer = await fetch(`${url}${where}`, {
          method,
          ...(body === undefined
            ? {}
            : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
        });
        return { status: answer.status, json: (await answer.json()) as never };
      } catch {
        return null;
      }
    },
    end: async () => {
      await kill('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type TestApp = Awaited<ReturnType<typeof anApp>>;
