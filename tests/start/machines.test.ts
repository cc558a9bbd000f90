import { request } from 'node:https';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { connect } from '../../src/db/connection';
import type { Db } from '../../src/db/connection';
import { closeContext } from '../../src/server/context/context';
import { insertAccount } from '../../src/db/queries/accounts';
import { addFirstOwner } from '../../src/server/people/people';
import { anApp } from '../db/appProcess';
import type { TestApp } from '../db/appProcess';
import { aReport, aReportRow } from '../make/report';
import { aDatabaseWithCopy, aFolder, aPooler, aProxy, Programs, removeFolder } from './machines';

// Two applications behind nginx with TLS, on one database behind PgBouncer with a copy for reading: set up as docs/operations.md says.

const ADA = { name: 'Ada Marlowe', email: 'ada@tarnbrook.example', password: 'five small plain words' };
/** Where the browser sits, as nginx sees it. */
const BROWSER = '127.0.0.9';

const folder = aFolder('machines');
const programs = new Programs();
let database: Awaited<ReturnType<typeof aDatabaseWithCopy>>;
let sql: Db;
let copy: Db;
let apps: TestApp[];
let proxyPort: number;
let account: number;
let cookie = '';

interface Answer<T = never> {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  json: T;
}

/** A request through nginx, as a browser makes it. */
function ask<T>(
  where: string,
  body?: unknown,
  { method = body === undefined ? 'GET' : 'POST', headers = {} as Record<string, string> } = {},
): Promise<Answer<T>> {
  return new Promise((resolve, reject) => {
    const isFile = typeof body === 'string';
    const asked = request(
      {
        host: '127.0.0.1',
        port: proxyPort,
        localAddress: BROWSER,
        servername: 'ads.shop.example',
        rejectUnauthorized: false, // a certificate of the test's own
        path: where,
        method,
        headers: {
          host: 'ads.shop.example',
          cookie,
          ...(body !== undefined && { 'content-type': isFile ? 'text/csv' : 'application/json' }),
          ...headers,
        },
      },
      (answer) => {
        let text = '';
        answer.on('data', (part) => (text += part));
        answer.on('end', () => {
          let json: unknown = text;
          try {
            json = JSON.parse(text);
          } catch {
            // A page of nginx: its status tells.
          }
          resolve({ status: answer.statusCode!, headers: answer.headers, json: json as T });
        });
        answer.on('error', reject);
      },
    );
    asked.on('error', reject);
    asked.end(body === undefined ? undefined : isFile ? body : JSON.stringify(body));
  });
}

const asJson = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

/** A request to one of the applications, past nginx. */
const askApp = async (app: TestApp, where: string, init: RequestInit = {}) => {
  const answer = await fetch(app.url + where, { ...init, headers: { cookie, ...init.headers } });
  return { status: answer.status, json: (await answer.json()) as never };
};

const SUBJECT = 'campaign 1';
const note = (text: string, app?: TestApp) => {
  const body = { account, subject: SUBJECT, text };
  return app ? askApp(app, '/api/notes', asJson('POST', body)) : ask('/api/notes', body);
};
const notes = async (app: TestApp) => {
  const { json } = await askApp(app, `/api/notes?account=${account}&subject=${SUBJECT}`);
  return (json as { notes: { text: string }[] }).notes.map(({ text }) => text);
};

/** What the applications last asked the copy, on each connection. */
const workedOnCopy = async () =>
  (await copy<{ query: string }[]>`select query from pg_stat_activity where application_name = 'mowing'`).map(
    ({ query }) => query,
  );

beforeAll(async () => {
  database = await aDatabaseWithCopy(folder);
  process.env.DATABASE_URL = database.url;
  sql = connect(database.url, { max: 2 });
  copy = connect(database.copyUrl, { max: 1 });
  account = await insertAccount(sql, { name: 'Tarnbrook', currency: 'EUR', targetAcos: 0.24 });
  await addFirstOwner(ADA, { address: '', browser: '' });
  const env = {
    DATABASE_URL: await aPooler(folder, database.url, programs),
    DATABASE_POOL: 'transaction',
    DATABASE_DIRECT_URL: database.url,
    DATABASE_READ_URL: database.copyUrl,
    MOWING_HOSTS: 'ads.shop.example',
    MOWING_PROXIES: '127.0.0.1',
  };
  apps = await Promise.all([anApp({ env }), anApp({ env })]);
  proxyPort = await aProxy(
    folder,
    apps.map(({ port }) => port),
    programs,
  );
  for (let tries = 0; tries < 100; tries += 1) {
    if (await ask('/api/health/live').catch(() => null)) break;
    await sleep(50);
  }
});
afterAll(async () => {
  await Promise.all((apps ?? []).map((app) => app.end()));
  await programs.end();
  if (database) await closeContext();
  await Promise.all([sql?.end(), copy?.end()]);
  await database?.end();
  removeFolder(folder);
});

test('nginx ends TLS: the cookie is secure, the address is the browser’s whatever it claims, foreign names are refused', async () => {
  const { email, password } = ADA;
  const headers = { 'x-forwarded-for': '203.0.113.5' };
  const come = await ask('/api/session', { email, password }, { headers });
  expect(come.status).toBe(201);
  const [set] = come.headers['set-cookie'] as string[];
  expect(set).toMatch(/; HttpOnly/i);
  expect(set).toMatch(/; Secure/i);
  expect(set).toMatch(/; SameSite=/i);
  [cookie] = set.split(';');
  const { json } = await ask<{ address: string; isThis: boolean }[]>('/api/session');
  expect(json.find(({ isThis }) => isThis)?.address).toBe(BROWSER);
  expect((await ask('/api/me', undefined, { headers: { host: 'elsewhere.example' } })).status).toBe(403);
  const made = await ask<{ rows: number }>(
    `/api/imports?account=${account}&kind=terms`,
    aReport({ rows: Array.from({ length: 20_000 }, (_, i) => aReportRow({ term: `term ${i}` })) }),
  );
  expect(made).toMatchObject({ status: 200, json: { state: 'done' } });
});

test('who signs in at one application is in at the other, and out at both', async () => {
  const kept = cookie;
  for (const app of apps)
    expect(await askApp(app, '/api/me')).toMatchObject({ json: { person: { name: ADA.name } } });
  const second = await ask('/api/session', { email: ADA.email, password: ADA.password });
  [cookie] = (second.headers['set-cookie'] as string[])[0].split(';');
  expect(
    (
      await askApp(apps[0], '/api/session', {
        method: 'DELETE',
        headers: { 'content-type': 'application/json' },
        body: '{}',
      })
    ).status,
  ).toBe(200);
  expect((await askApp(apps[1], '/api/me')).status).toBe(401);
  cookie = kept;
});

test('readings work on the copy and never show older than what any application wrote', async () => {
  for (let i = 0; i < 40; i += 1) {
    const text = `read at once ${i}`;
    expect((await note(text, apps[i % 2])).status).toBe(200);
    expect(await notes(apps[(i + 1) % 2])).toContain(text);
  }
  expect((await workedOnCopy()).some((query) => query.includes('from mowing.note'))).toBe(true);
});

test('a copy that stands still or is gone is passed by; when it follows again it is used again', async () => {
  await copy`select pg_wal_replay_pause()`;
  expect((await note('while the copy stands still')).status).toBe(200);
  expect(await notes(apps[0])).toContain('while the copy stands still');
  await copy`select pg_wal_replay_resume()`;
  await database.stopCopy();
  expect((await note('while the copy is gone')).status).toBe(200);
  for (const app of apps) expect(await notes(app)).toContain('while the copy is gone');
  await database.openCopy();
  // A copy that failed rests for some seconds.
  const isUsed = async () => {
    for (const app of apps) await notes(app);
    return (await workedOnCopy()).some((query) => query.includes('from mowing.note'));
  };
  await expect.poll(isUsed, { timeout: 60_000, interval: 500 }).toBe(true);
});

test('one of two that is killed under load: what was answered is there, once; the other goes on, and tells what was cut off', async () => {
  const answered: string[] = [];
  let isOver = false;
  const write = async (hand: number) => {
    for (let i = 0; !isOver; i += 1) {
      const text = `note ${i} of hand ${hand}`;
      const answer = await note(text).catch(() => null);
      if (answer?.status === 200) answered.push(text);
    }
  };
  const hands = [1, 2, 3, 4].map(write);
  await sleep(800);
  // A file that one of them is at when it goes.
  const rows = Array.from({ length: 100_000 }, (_, i) => aReportRow({ term: `cut off ${i}` }));
  const cut = askApp(apps[0], `/api/imports?account=${account}&kind=terms&name=cut.csv`, {
    method: 'POST',
    body: aReport({ rows }),
  }).catch(() => 'gone');
  const stateOf = async () =>
    (await sql<{ state: string }[]>`select state from mowing.import where file_name = 'cut.csv'`)[0]?.state;
  while ((await stateOf()) === undefined) await sleep(5);
  await apps[0].kill();
  expect(await cut).toBe('gone');
  const atKill = answered.length;
  await sleep(3000);
  isOver = true;
  await Promise.all(hands);
  expect(answered.length).toBeGreaterThan(atKill);
  const kept = await sql<{ text: string; times: number }[]>`
    select text, count(*)::integer as times from mowing.note where text like 'note % of hand %' group by 1`;
  expect(kept.filter(({ times }) => times > 1)).toEqual([]);
  const there = new Set(kept.map(({ text }) => text));
  expect(answered.filter((text) => !there.has(text))).toEqual([]);
  for (let tries = 0; (await stateOf()) !== 'refused'; tries += 1) {
    if (tries > 300) throw new Error(`The import that was cut off is ${await stateOf()}.`);
    await sleep(100);
  }
  const [{ rows: left }] = await sql<{ rows: number }[]>`
    select count(*)::integer as rows from mowing.term_day f join mowing.term t using (account_id, term_id)
    where t.text like 'cut off %'`;
  expect(left).toBe(0);
  await apps[0].open();
  expect((await askApp(apps[0], '/api/me')).status).toBe(200);
});
