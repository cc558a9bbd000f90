import {
  symlinkSync,
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { aStage } from './stage';
import type { Stage, Started } from './stage';

// What "npm start" does on a data folder of its own: the real starter, the real programs, real kills.

let stage: Stage;
let mowing: Started;

beforeAll(async () => {
  stage = await aStage('start');
  mowing = stage.start();
  await stage.ready(mowing);
});

afterAll(() => stage.end());

describe('npm start', () => {
  test('answers when it says that it is ready', async () => {
    expect(await stage.health()).toMatchObject({ ok: true, database: 'ok', market: 'ok' });
  });

  test('keeps its secrets to itself, and PostgreSQL on loopback', () => {
    for (const secret of ['postgres-password', 'market-secret'])
      expect(statSync(path.join(stage.dataDir, secret)).mode & 0o777).toBe(0o600);
    expect(readFileSync(path.join(stage.dataDir, 'postgres', 'postgresql.auto.conf'), 'utf8')).toContain(
      "listen_addresses = '127.0.0.1'",
    );
  });

  test('does not start twice on one data folder, and says what to do', async () => {
    const second = stage.start();
    expect(await second.ended).toBe(1);
    expect(second.output()).toContain('Mowing already runs on');
    expect(second.output()).toContain('give another --data-dir and --port');
    expect(await stage.isWell()).toBe(true);
  });

  test.each(['app', 'market'])('starts the %s again when it is killed', async (name) => {
    const before = stage.ours(name);
    expect(before).toHaveLength(1);
    stage.kill(name);
    await stage.until(
      async () =>
        stage.ours(name).length === 1 && stage.ours(name)[0] !== before[0] && (await stage.isWell()),
    );
  });

  test('starts PostgreSQL again when it is killed', async () => {
    const before = stage.postmaster();
    stage.kill('postgres');
    await stage.until(async () => (await stage.isWell()) && stage.postmaster() !== before);
  });

  test('after a kill of starter and PostgreSQL the next start finds everything as it was', async () => {
    const made = await stage.makeAccount('Still here');
    expect(made.status).toBe(201);
    mowing.child.kill('SIGKILL');
    stage.kill('postgres');
    await mowing.ended;
    mowing = stage.start();
    await stage.ready(mowing);
    expect(await stage.accounts()).toEqual(['Still here']);
  });

  test('stops everything it started', async () => {
    mowing.child.kill('SIGINT');
    expect(await mowing.ended).toBe(0);
    // Those of the starter that was killed above may still be letting go.
    await stage.until(() => ['app', 'market'].every((name) => stage.ours(name).length === 0), 20);
    expect(existsSync(path.join(stage.dataDir, 'postgres', 'postmaster.pid'))).toBe(false);
    expect(await stage.health()).toBeNull();
  });
});

describe('what it cannot do it says', () => {
  test.each([
    [['--port', '99999'], '"99999" is not a port'],
    [['--colour', 'red'], "Unknown option '--colour'"],
  ])('%j', async (args, told) => {
    const one = stage.start(args);
    expect(await one.ended).toBe(1);
    expect(one.output()).toContain(told);
  });

  test('a port that is taken', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(stage.port, '127.0.0.1', resolve));
    const one = stage.start();
    expect(await one.ended).toBe(1);
    expect(one.output()).toContain(`Port ${stage.port} is in use by another program`);
    other.close();
  });
});

test('a starter that is stopped while the database is being made leaves nothing running', async () => {
  const early = await aStage('early');
  const one = early.start();
  await early.until(() => one.output().includes('Making the database'));
  one.child.kill('SIGTERM');
  expect(await one.ended).toBe(0);
  await early.until(() => ['app', 'market', 'postgres'].every((name) => early.ours(name).length === 0), 20);
  await early.end();
});

test('a log that cannot be written ends nothing', async () => {
  const full = await aStage('full');
  mkdirSync(path.join(full.dataDir, 'logs'));
  for (const name of ['app.log', 'market.log'])
    symlinkSync('/dev/full', path.join(full.dataDir, 'logs', name));
  await full.ready(full.start());
  for (let at = 0; at < 5; at += 1) await full.accounts();
  expect(await full.isWell()).toBe(true);
  expect(full.ours('app')).toHaveLength(1);
  await full.end();
});

test('a data folder that holds somebody else’s files is left as it is', async () => {
  const strange = mkdtempSync(path.join(tmpdir(), 'mowing-strange-'));
  chmodSync(strange, 0o755);
  mkdirSync(path.join(strange, 'postgres'));
  writeFileSync(path.join(strange, 'postgres', 'notes.txt'), 'kept');
  const one = stage.start(['--data-dir', strange]);
  expect(await one.ended).not.toBe(0);
  expect(one.output()).toContain('holds files that Mowing did not make');
  expect(readFileSync(path.join(strange, 'postgres', 'notes.txt'), 'utf8')).toBe('kept');
  rmSync(strange, { recursive: true, force: true });
});
