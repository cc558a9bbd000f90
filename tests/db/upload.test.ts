import { request } from 'node:http';
import type { ClientRequest } from 'node:http';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { ImportAnswer } from '../../src/contract/api';
import type { AccountRow } from '../../src/db/queries/accounts';
import { loadImports } from '../../src/server/imports/answer';
import { closeContext, db } from '../../src/server/context/context';
import { manyRows } from '../make/report';
import { anAccount } from './account';
import { anApp } from './appProcess';
import type { TestApp } from './appProcess';

let app: TestApp;
let account: AccountRow;
/** More rows than are handed to the database at once. */
const aLongReport = () => manyRows(70_000, `upload-${account.id}`);

beforeAll(async () => {
  app = await anApp({ env: { MOWING_UPLOAD_IDLE_S: '20' } });
});
afterAll(async () => {
  await app?.end();
  await closeContext();
});

/** An upload that is sent piece by piece over one connection. */
function anUpload(to: AccountRow, bytes: number) {
  const sent: ClientRequest = request(`${app.url}/api/imports?account=${to.id}&kind=terms&name=a.csv`, {
    method: 'POST',
    headers: { 'content-length': bytes, 'content-type': 'text/csv' },
  });
  const answer = new Promise<{ status: number; connection: string | undefined; json: ImportAnswer }>(
    (resolve, reject) => {
      sent.on('error', reject);
      sent.on('response', (response) => {
        let text = '';
        response.on('data', (part) => (text += part));
        response.on('end', () =>
          resolve({
            status: response.statusCode!,
            connection: response.headers.connection,
            json: JSON.parse(text) as ImportAnswer,
          }),
        );
      });
    },
  );
  answer.catch(() => {});
  return { sent, answer };
}

/** A slow machine gets its time; what never ends is told by its name, with what the application said. */
const soon = <T>(what: string, work: Promise<T>): Promise<T> =>
  Promise.race([
    work,
    sleep(100_000, null, { ref: false }).then(() => {
      throw new Error(`${what} did not come.\n${app.output()}`);
    }),
  ]);

describe('an upload', { timeout: 240_000 }, () => {
  test('that is refused early is read to its end, answered once, and names the line, also behind lines that repeat', async () => {
    account = await anAccount();
    const text = aLongReport();
    const lines = text.split('\n');
    const bad = 60_001;
    const bytes = Buffer.from(text);
    const at = Buffer.byteLength(lines.slice(0, bad - 1).join('\n')) + 20;
    bytes[at] = 0xff;
    const { sent, answer } = anUpload(account, bytes.length);
    for (let from = 0; from < bytes.length; from += 1 << 16) {
      sent.write(bytes.subarray(from, from + (1 << 16)));
      await sleep(1);
    }
    sent.end();
    const { status, json } = await soon('the answer', answer);
    expect([status, json.state]).toEqual([200, 'refused']);
    expect(json.message).toContain(`line ${bad} holds bytes that are no characters`);
    expect(await loadImports(account.id)).toHaveLength(1);
  });

  test('that stalls keeps no other waiting, and is told as refused', async () => {
    account = await anAccount();
    const text = aLongReport();
    const { sent, answer } = anUpload(account, text.length);
    sent.write(text.slice(0, text.length - 1000));
    await expect.poll(async () => (await loadImports(account.id)).length, { timeout: 20_000 }).toBe(1);
    const other = anUpload(account, text.length);
    other.sent.end(text);
    expect((await soon('the answer to the whole upload', other.answer)).json).toMatchObject({
      state: 'done',
      kept: 70_000,
      message: expect.any(String),
    });
    expect((await loadImports(account.id)).map(({ state }) => state)).toEqual(['done', 'reading']);
    const { json, connection } = await soon('the answer to the stalled upload', answer);
    expect(json).toMatchObject({
      state: 'refused',
      message: expect.stringContaining('Nothing more of the upload came'),
    });
    expect(connection).toBe('close');
  });

  test('that is cut by a kill of Mowing is told as refused as soon as it is open again', async () => {
    account = await anAccount();
    const text = aLongReport();
    const { sent } = anUpload(account, text.length);
    sent.on('error', () => {});
    sent.write(text.slice(0, text.length / 2));
    await expect.poll(async () => (await loadImports(account.id)).length, { timeout: 20_000 }).toBe(1);
    await app.kill();
    await app.open();
    await expect
      .poll(async () => (await loadImports(account.id))[0].state, { timeout: 5000 })
      .toBe('refused');
    expect((await loadImports(account.id))[0].message).toContain('cut off when Mowing stopped');
  });

  test('for which the disk has no room is refused before anything is read', async () => {
    account = await anAccount();
    const { sent, answer } = anUpload(account, 1e15);
    sent.write('day');
    const told = await answer;
    expect([told.status, told.connection]).toEqual([507, 'close']);
    expect((told.json as unknown as { error: { message: string } }).error.message).toMatch(
      /The disk has .* MB free; this file needs about/,
    );
    sent.destroy();
    expect(await loadImports(account.id)).toEqual([]);
  });
});

test('health answers, and nothing waits for ever, while every reading is kept waiting by somebody’s lock', async () => {
  account = await anAccount();
  let letGo!: () => void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const lock = db().begin(async (tx) => {
    await tx`lock table mowing.term_day in access exclusive mode`;
    await held;
  });
  const gone = new AbortController();
  const where = `${app.url}/api/sums?account=${account.id}&grain=account&from=2026-10-01&to=2026-10-31`;
  const asked = Array.from({ length: 230 }, () =>
    fetch(where, { signal: gone.signal }).then(
      (answer) => answer.status,
      () => 0,
    ),
  );
  await sleep(500);
  expect((await app.ask('/api/health'))?.json).toMatchObject({ database: 'ok' });
  expect(await app.ask(where.slice(app.url.length))).toMatchObject({
    status: 503,
    json: { error: { code: 'busy' } },
  });
  const waiting = async () => {
    const [{ n }] = await db()<{ n: number }[]>`
      select count(*)::integer as n from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock' and query like '%now_rows%'`;
    return n;
  };
  await expect.poll(waiting, { timeout: 20_000 }).toBeGreaterThan(3);
  gone.abort(); // they close their pages: what the database does for them ends
  await expect.poll(waiting, { timeout: 10_000 }).toBe(0);
  letGo();
  await lock;
  expect(await Promise.all(asked)).toContain(503);
  expect((await app.ask(where.slice(app.url.length)))?.status).toBe(200);
});
