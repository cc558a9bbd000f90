import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';
import { aReport, aReportRow } from '../make/report';
import { demoAccount, freshStage, newAccount, treeOf } from './page';

test.beforeAll(freshStage);

// What a script on the same machine does, as the formats page describes it.

test('health tells version, database and market', async ({ request }) => {
  expect(await (await request.get('/api/health')).json()).toEqual({
    ok: true,
    version: expect.any(String),
    database: 'ok',
    market: 'ok',
    freeMegabytes: expect.any(Number),
    lastBackup: null,
    warnings: expect.any(Array),
  });
});

test('a report goes in by POST, its refused rows come out as CSV, its sums as decimal strings', async ({
  request,
}) => {
  const account = await newAccount(request, 'Script');
  const rows = [
    aReportRow(),
    aReportRow({ term: '=cmd', clicks: 900 }),
    aReportRow({ term: 'crock', spend: '0.456789' }),
  ];
  // As curl --data-binary sends it.
  const post = () =>
    request.post(`/api/imports?account=${account}&kind=terms`, {
      data: Buffer.from(aReport({ rows })),
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
    });
  const first = await (await post()).json();
  expect(first).toMatchObject({ state: 'done', read: 3, kept: 2, unchanged: 0, refused: 1, unmatched: [] });
  expect(await (await post()).json()).toMatchObject({ state: 'done', kept: 0, unchanged: 2 });
  expect(await (await request.get(`/api/imports/${first.importId}?account=${account}`)).json()).toMatchObject(
    {
      importId: first.importId,
      kept: 2,
    },
  );
  expect(
    await (await request.get(`/api/imports/${first.importId}/refused.csv?account=${account}`)).text(),
  ).toContain('3,Clicks (900) are above impressions (120).');
  const sums = (grain: string) =>
    request
      .get(`/api/sums?account=${account}&grain=${grain}&from=2026-10-01&to=2026-10-31`)
      .then((answer) => answer.json());
  const expected = {
    rows: 2,
    impressions: 240,
    clicks: 12,
    spend: '3.556789',
    orders: 2,
    units: 2,
    sales: '37.80',
  };
  expect(await sums('account')).toMatchObject(expected);
  expect(await sums('campaign')).toMatchObject({
    ...expected,
    items: [{ campaign: 'Glass weights – auto', ...expected }],
  });
  expect((await sums('term')).items.map(({ term }: { term: string }) => term)).toEqual([
    'glass weights',
    'crock',
  ]);
});

test('a wrong request is told every fault, with where it is', async ({ request }) => {
  const answer = await request.get('/api/sums?account=x&grain=week&from=2026-02-31&to=2026-03-01');
  expect(answer.status()).toBe(400);
  const { error } = (await answer.json()) as { error: { faults: { where: string }[] } };
  expect(error.faults.map(({ where }) => where)).toEqual(['query.account', 'query.grain', 'query.from']);
  expect(
    (await request.get('/api/sums?account=999999&grain=account&from=2026-02-01&to=2026-03-01')).status(),
  ).toBe(404);
  expect(
    (
      await request.post('/api/accounts', {
        data: 'no json',
        headers: { 'content-type': 'application/json' },
      })
    ).status(),
  ).toBe(400);
  const made = (data: object) => request.post('/api/accounts', { data });
  expect((await made({ name: 'X', currency: 'QQQ', targetAcos: 0.25 })).status()).toBe(400);
  // What is aimed at is nobody's to guess.
  const without = await made({ name: 'X', currency: 'EUR' });
  expect(without.status()).toBe(400);
  expect(JSON.stringify(await without.json())).toContain('targetAcos');
});

test('a foreign origin or host is refused, a script without an origin is not', async ({
  request,
  baseURL,
}) => {
  const data = { name: 'Intruder', currency: 'EUR', targetAcos: 0.25 };
  const status = async (headers: Record<string, string>) =>
    (await request.post('/api/accounts', { data, headers })).status();
  expect(await status({ origin: 'https://elsewhere.example' })).toBe(403);
  expect(await status({ host: 'elsewhere.example' })).toBe(403);
  expect(await status({ origin: baseURL! })).toBe(201);
});

test('files carry the same guard as pages; strange methods and pictures made to order are refused', async ({
  request,
  baseURL,
}) => {
  const page = await (await request.get('/round')).text();
  const file = /\/_astro\/[\w.-]+\.js/.exec(page)![0];
  const answer = await request.get(file);
  expect(answer.headers()['x-content-type-options']).toBe('nosniff');
  expect(answer.headers()['cross-origin-resource-policy']).toBe('same-origin');
  const foreign = await request.get(file, { headers: { host: 'elsewhere.example' } });
  expect(foreign.status()).toBe(403);
  for (const method of ['TRACE', 'PROPFIND']) {
    const { port, hostname } = new URL(baseURL!);
    const status = await new Promise<number>((resolve, reject) =>
      httpRequest({ host: hostname, port, path: '/round', method }, (one) => {
        one.resume();
        resolve(one.statusCode!);
      })
        .on('error', reject)
        .end(),
    );
    expect([method, status]).toEqual([method, 405]);
  }
  expect((await request.get('/_image?href=%2Ffavicon.svg&w=4000&f=webp')).status()).toBe(404);
});

test('pages allow no foreign script, and an unknown page says so', async ({ request }) => {
  const page = await request.get('/round');
  const policy = page.headers()['content-security-policy'];
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
  const missing = await request.get('/nowhere');
  expect(missing.status()).toBe(404);
  expect(await missing.text()).toContain('There is no such page');
});

test('what belongs to another account is not there, whose it is is not told, and no page answers a script', async ({
  request,
}) => {
  const theirs = await demoAccount(request);
  const mine = await newAccount(request, 'A second shop');
  const { campaigns } = await treeOf(request, theirs);
  const [{ id: campaign }] = campaigns;
  const asked = [
    () =>
      request.get(
        `/api/sums?account=${mine}&grain=day&from=2026-10-01&to=2026-10-31&scope=campaign:${campaign}`,
      ),
    () => request.get(`/api/history?account=${mine}&from=2026-10-01&campaignId=${campaign}`),
    () => request.get(`/api/changes?account=${mine}&bale=1`),
    () => request.post(`/api/bales/1/retry?account=${mine}`),
    () => request.post('/api/changes/withdraw', { data: { account: mine, ids: [1] } }),
    () => request.post('/api/changes/undo', { data: { account: mine, ids: [1] } }),
    () => request.post('/api/jobs/cancel', { data: { account: mine, id: 1 } }),
    () => request.get(`/api/nothing?account=${mine}`),
    () => request.post(`/api/sums?account=${mine}`),
  ];
  for (const ask of asked) {
    const answer = await ask();
    const text = await answer.text();
    expect([answer.url(), answer.status()]).toEqual([answer.url(), 404]);
    expect((JSON.parse(text) as { error: { code: string } }).error.code).toBe('not-found');
    expect(text).not.toContain('Tarnbrook');
  }
});
