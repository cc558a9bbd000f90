import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  readlinkSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';

// What "npm start" does on a data folder of its own: the real starter, the real programs, real kills.

const dataDir = mkdtempSync(path.join(tmpdir(), 'mowing-start-'));
chmodSync(dataDir, 0o755); // PostgreSQL's own account has to reach it
const running = new Set<ChildProcess>();
let port: number;

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address() as { port: number };
      probe.close(() => resolve(address.port));
    });
  });
}

interface Started {
  child: ChildProcess;
  output: () => string;
  ended: Promise<number | null>;
}

function start(args: string[] = []): Started {
  // A starter on its own: nothing of the stage on which the other tests play.
  const own = Object.entries(process.env).filter(([name]) => !/^(MOWING_|DATABASE_URL$)/.test(name));
  const env = Object.fromEntries(own);
  const child = spawn(
    process.execPath,
    ['bin/start.mjs', '--data-dir', dataDir, '--port', String(port), ...args],
    { env },
  );
  running.add(child);
  let text = '';
  child.stdout.on('data', (part) => (text += part));
  child.stderr.on('data', (part) => (text += part));
  const ended = new Promise<number | null>((resolve) =>
    child.once('close', (code) => (running.delete(child), resolve(code))),
  );
  return { child, output: () => text, ended };
}

async function until(what: () => Promise<boolean> | boolean, seconds = 90): Promise<void> {
  const end = Date.now() + seconds * 1000;
  while (!(await what())) {
    if (Date.now() > end)
      throw new Error(
        `It did not happen within ${seconds} s. Health: ${JSON.stringify(await health())}\n${mowing?.output()}\n${appLog()}`,
      );
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

const ready = (one: Started) =>
  until(() => {
    if (one.child.exitCode !== null) throw new Error(one.output());
    return one.output().includes(`Mowing is ready at http://127.0.0.1:${port}`);
  });

/** The end of the application's log, for a test that fails. */
function appLog(): string {
  const file = path.join(dataDir, 'logs', 'app.log');
  return existsSync(file) ? readFileSync(file, 'utf8').slice(-1500) : '';
}

async function health(): Promise<unknown> {
  try {
    const signal = AbortSignal.timeout(5000);
    return await (await fetch(`http://127.0.0.1:${port}/api/health`, { signal })).json();
  } catch {
    return null;
  }
}
const isWell = async () => ((await health()) as { ok?: boolean } | null)?.ok === true;

/** Processes that work on our data folder: programs by their environment, PostgreSQL by its own folder. */
function ours(name: string): number[] {
  return readdirSync('/proc')
    .filter((entry) => /^\d+$/.test(entry))
    .map(Number)
    .filter((pid) => {
      try {
        if (name === 'postgres')
          return readlinkSync(`/proc/${pid}/cwd`) === path.join(dataDir, 'postgres') && pid === postmaster();
        return (
          readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`programs/${name}.mjs`) &&
          readFileSync(`/proc/${pid}/environ`, 'utf8').includes(dataDir)
        );
      } catch {
        return false;
      }
    });
}
const postmaster = () =>
  Number(readFileSync(path.join(dataDir, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[0]);
const kill = (name: string) => ours(name).forEach((pid) => process.kill(pid, 'SIGKILL'));

let mowing: Started;

beforeAll(async () => {
  port = await freePort();
  mowing = start();
  await ready(mowing);
});

afterAll(async () => {
  for (const child of running) child.kill('SIGTERM');
  await until(() => running.size === 0, 30).catch(() => {});
  rmSync(dataDir, { recursive: true, force: true });
});

describe('npm start', () => {
  test('answers when it says that it is ready', async () => {
    expect(await health()).toMatchObject({ ok: true, database: 'ok', market: 'ok' });
  });

  test('keeps its secrets to itself, and PostgreSQL on loopback', () => {
    for (const secret of ['postgres-password', 'market-secret'])
      expect(statSync(path.join(dataDir, secret)).mode & 0o777).toBe(0o600);
    expect(readFileSync(path.join(dataDir, 'postgres', 'postgresql.auto.conf'), 'utf8')).toContain(
      "listen_addresses = '127.0.0.1'",
    );
  });

  test('does not start twice on one data folder, and says what to do', async () => {
    const second = start();
    expect(await second.ended).toBe(1);
    expect(second.output()).toContain('Mowing already runs on');
    expect(second.output()).toContain('give another --data-dir and --port');
    expect(await isWell()).toBe(true);
  });

  test.each(['app', 'market'])('starts the %s again when it is killed', async (name) => {
    const before = ours(name);
    expect(before).toHaveLength(1);
    kill(name);
    await until(async () => ours(name).length === 1 && ours(name)[0] !== before[0] && (await isWell()));
  });

  test('starts PostgreSQL again when it is killed', async () => {
    const before = postmaster();
    kill('postgres');
    await until(async () => (await isWell()) && postmaster() !== before);
  });

  test('after a kill of starter and PostgreSQL the next start finds everything as it was', async () => {
    const made = await fetch(`http://127.0.0.1:${port}/api/accounts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Still here', currency: 'EUR', targetAcos: 0.25 }),
    });
    expect(made.status).toBe(201);
    mowing.child.kill('SIGKILL');
    kill('postgres');
    await mowing.ended;
    mowing = start();
    await ready(mowing);
    const accounts = (await (await fetch(`http://127.0.0.1:${port}/api/accounts`)).json()) as {
      name: string;
    }[];
    expect(accounts.map(({ name }) => name)).toEqual(['Still here']);
  });

  test('stops everything it started', async () => {
    mowing.child.kill('SIGINT');
    expect(await mowing.ended).toBe(0);
    // Those of the starter that was killed above may still be letting go.
    await until(() => ['app', 'market'].every((name) => ours(name).length === 0), 20);
    expect(existsSync(path.join(dataDir, 'postgres', 'postmaster.pid'))).toBe(false);
    expect(await health()).toBeNull();
  });
});

describe('what it cannot do it says', () => {
  test.each([
    [['--port', '99999'], '"99999" is not a port'],
    [['--colour', 'red'], "Unknown option '--colour'"],
  ])('%j', async (args, told) => {
    const one = start(args);
    expect(await one.ended).toBe(1);
    expect(one.output()).toContain(told);
  });

  test('a port that is taken', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve));
    const one = start();
    expect(await one.ended).toBe(1);
    expect(one.output()).toContain(`Port ${port} is in use by another program`);
    other.close();
  });
});

test('a data folder that holds somebody else’s files is left as it is', async () => {
  const strange = mkdtempSync(path.join(tmpdir(), 'mowing-strange-'));
  chmodSync(strange, 0o755);
  mkdirSync(path.join(strange, 'postgres'));
  writeFileSync(path.join(strange, 'postgres', 'notes.txt'), 'kept');
  const one = start(['--data-dir', strange]);
  expect(await one.ended).not.toBe(0);
  expect(one.output()).toContain('holds files that Mowing did not make');
  expect(readFileSync(path.join(strange, 'postgres', 'notes.txt'), 'utf8')).toBe('kept');
  rmSync(strange, { recursive: true, force: true });
});
