import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { marketClient } from '../../src/connect/market';
import type { MarketClient } from '../../src/connect/market';
import type { MarketChange } from '../../src/contract/market';
import { aMarket } from './market';
import type { TestMarket } from './market';

let market: TestMarket;
let client: MarketClient;
let home: string;

beforeAll(async () => {
  market = await aMarket();
  client = marketClient(market.url, market.secret, { tries: 1 });
  home = (await client.entities(market.key, 'ad-groups')).items.find(({ name }) => name === 'exact')!.id;
});
afterAll(() => market.end());

const keyword = (expression: string, ref = '1'): MarketChange => ({
  ref,
  do: 'create',
  entity: 'targets',
  fields: { adGroupId: home, kind: 'keyword', match: 'exact', expression, bid: 400_000 },
});
const count = async (expression: string) => {
  const [{ n }] =
    await market.books`select count(*) as n from quaymarket.target where account_id = ${market.key} and expression = ${expression}`;
  return Number(n);
};
async function text(source: AsyncIterable<Uint8Array>) {
  const parts: Uint8Array[] = [];
  for await (const part of source) parts.push(part);
  return Buffer.concat(parts).toString();
}

describe('signing in', () => {
  test('is needed, and wants the right secret', async () => {
    expect((await market.ask('/accounts')).status).toBe(401);
    expect((await market.ask('/accounts', { headers: { authorization: 'Bearer guess' } })).status).toBe(401);
    expect((await market.ask('/token', { json: { secret: 'guess' } })).status).toBe(401);
    await expect(marketClient(market.url, 'guess').accounts()).rejects.toMatchObject({
      code: 'market-refused',
    });
  });

  test('happens again by itself when the market was started anew', async () => {
    await client.accounts();
    await market.goDown();
    await market.comeBack();
    expect((await client.accounts()).map(({ id }) => id)).toContain(market.key);
  });
});

describe('entities', () => {
  test('come page by page, each once, whatever the size of a page', async () => {
    const headers = { authorization: `Bearer ${await market.signIn()}` };
    const all = (await client.entities(market.key, 'targets')).items;
    const paged: string[] = [];
    for (let after: string | null = ''; after !== null;) {
      const page = (await (
        await market.ask(`/accounts/${market.key}/entities/targets?limit=40&after=${after}`, { headers })
      ).json()) as { items: { id: string }[]; next: string | null };
      expect(page.items.length).toBeLessThanOrEqual(40);
      paged.push(...page.items.map(({ id }) => id));
      after = page.next;
    }
    expect(paged).toEqual(all.map(({ id }) => id));
    expect(new Set(paged).size).toBe(paged.length);
  });

  test('of an account or kind that there is not are refused', async () => {
    await expect(client.entities('nobody', 'targets')).rejects.toThrow('There is no account nobody');
    const headers = { authorization: `Bearer ${await market.signIn()}` };
    expect((await market.ask(`/accounts/${market.key}/entities/weather`, { headers })).status).toBe(404);
  });
});

describe('a report', () => {
  const order = { kind: 'terms' as const, from: '2026-11-20', to: '2026-11-21' };

  test('is asked for, made, and holds every day asked for and no other', async () => {
    const { report, csv } = await client.report(market.key, order);
    const days = (await text(csv))
      .trim()
      .split('\n')
      .slice(1)
      .map((line) => line.split(',')[0]);
    expect(report).toMatchObject({
      state: 'ready',
      madeOn: '2026-11-23',
      days: ['2026-11-20', '2026-11-21'],
      rows: days.length,
    });
    expect(new Set(days)).toEqual(new Set(['2026-11-20', '2026-11-21']));
  });

  test('of each kind adds up to the same spend', async () => {
    const spendOf = async (kind: 'terms' | 'targets' | 'placements' | 'target-placements' | 'hours') => {
      const [headings, ...lines] = (await text((await client.report(market.key, { ...order, kind })).csv))
        .trim()
        .split('\n');
      const at = headings.split(',').indexOf('Spend') - headings.split(',').length;
      return lines.reduce((sum, line) => sum + Math.round(1e6 * Number(line.split(',').at(at))), 0);
    };
    const spend = await spendOf('terms');
    expect(spend).toBeGreaterThan(0);
    for (const kind of ['targets', 'placements', 'target-placements', 'hours'] as const)
      expect(await spendOf(kind)).toBe(spend);
  });

  test('as it looked on an earlier day holds fewer orders, and the same clicks', async () => {
    const sum = async (madeOn?: string) => {
      const { csv } = await client.report(market.key, {
        kind: 'placements',
        from: '2026-11-05',
        to: '2026-11-12',
        madeOn,
      });
      const rows = (await text(csv))
        .trim()
        .split('\n')
        .slice(1)
        .map((line) => line.split(','));
      const total = (at: number) => rows.reduce((all, row) => all + Number(row[at]), 0);
      return { clicks: total(5), orders: total(7) };
    };
    const [then, now] = [await sum('2026-11-13'), await sum()];
    expect(then.clicks).toBe(now.clicks);
    expect(then.orders).toBeLessThan(now.orders);
  });

  test('comes as JSON lines too', async () => {
    const headers = { authorization: `Bearer ${await market.signIn()}` };
    const path = `/accounts/${market.key}/reports`;
    const { id } = (await (
      await market.ask(path, { headers, json: { ...order, kind: 'sales', format: 'jsonl' } })
    ).json()) as { id: string };
    let state = '';
    while (state !== 'ready')
      ({ state } = (await (await market.ask(`${path}/${id}`, { headers })).json()) as { state: string });
    const file = gunzipSync(
      Buffer.from(await (await market.ask(`${path}/${id}/file`, { headers })).arrayBuffer()),
    ).toString();
    expect(JSON.parse(file.split('\n')[0])).toMatchObject({ Date: '2026-11-20', Orders: expect.any(Number) });
  });

  test('cut off on its way is told as such', async () => {
    await market.fault('truncated-file');
    const { csv } = await client.report(market.key, order);
    await expect(text(csv)).rejects.toMatchObject({
      code: 'market-down',
      message: expect.stringContaining('cut off'),
    });
  });
});

test('what changed since a cursor is listed, and nothing else', async () => {
  const { cursor } = await client.entities(market.key, 'targets');
  expect((await client.entities(market.key, 'targets', cursor)).items).toEqual([]);
  const [{ id }] = await client.sendChanges(market.key, 'since', [keyword('changed since')]);
  expect((await client.entities(market.key, 'targets', cursor)).items.map((one) => one.id)).toEqual([id]);
});

describe('a batch', () => {
  test('with the same key is carried out once, and answered the same', async () => {
    const first = await client.sendChanges(market.key, 'key-1', [keyword('once only')]);
    expect(await client.sendChanges(market.key, 'key-1', [keyword('once only')])).toEqual(first);
    expect(await count('once only')).toBe(1);
  });

  test('sent twice at the same moment is still carried out once', async () => {
    const send = () => client.sendChanges(market.key, 'key-2', [keyword('at once')]);
    const [a, b] = await Promise.all([send(), send()]);
    expect(a).toEqual(b);
    expect(a[0].accepted).toBe(true);
    expect(await count('at once')).toBe(1);
  });

  test('answers every change under the name it came with', async () => {
    const answers = await client.sendChanges(market.key, 'key-3', [
      keyword('fine', 'a'),
      keyword('x'.repeat(90), 'b'),
      {
        ref: 'c',
        do: 'create',
        entity: 'targets',
        fields: { adGroupId: 'G0', kind: 'keyword', match: 'exact', expression: 'nowhere' },
      },
    ]);
    expect(answers.map(({ ref, accepted, code }) => [ref, accepted, code])).toEqual([
      ['a', true, null],
      ['b', false, 'too-long'],
      ['c', false, 'no-such-ad-group'],
    ]);
  });

  test('without a key, or with a change of unknown shape, is refused as a whole', async () => {
    const headers = { authorization: `Bearer ${await market.signIn()}` };
    const post = (json: unknown, more = {}) =>
      market.ask(`/accounts/${market.key}/changes`, { json, headers: { ...headers, ...more } });
    expect((await post({ changes: [keyword('no key')] })).status).toBe(400);
    expect((await post({ changes: [{ ref: '1', do: 'burn' }] }, { 'idempotency-key': 'k' })).status).toBe(
      400,
    );
    expect(await count('no key')).toBe(0);
  });

  test('lets archived things stay archived', async () => {
    const [made] = await client.sendChanges(market.key, 'key-4', [keyword('short life')]);
    const end = (key: string) =>
      client.sendChanges(market.key, key, [{ ref: '1', do: 'archive', entity: 'targets', id: made.id! }]);
    expect((await end('key-5'))[0].accepted).toBe(true);
    expect((await end('key-6'))[0]).toMatchObject({ accepted: false, code: 'archived' });
    // What is archived stands in nobody's way.
    expect((await client.sendChanges(market.key, 'key-7', [keyword('short life')]))[0].accepted).toBe(true);
  });
});

describe('a market in trouble', () => {
  test('that says to come back later is waited for', async () => {
    await market.fault('too-many');
    const before = Date.now();
    expect(await marketClient(market.url, market.secret, { tries: 2 }).accounts()).not.toHaveLength(0);
    expect(Date.now() - before).toBeGreaterThan(900);
  });

  test('that answers 500 is asked again, by a client that is told to', async () => {
    await market.fault('error', 'unavailable');
    expect(await marketClient(market.url, market.secret, { tries: 3 }).accounts()).not.toHaveLength(0);
  });

  test('that fails in the middle of a batch has carried out none of it', async () => {
    await market.fault('fail-mid-batch');
    const batch = [keyword('half one', 'a'), keyword('half two', 'b')];
    await expect(client.sendChanges(market.key, 'half', batch)).rejects.toMatchObject({
      code: 'market-down',
    });
    expect([await count('half one'), await count('half two')]).toEqual([0, 0]);
    expect((await client.sendChanges(market.key, 'half', batch)).map(({ accepted }) => accepted)).toEqual([
      true,
      true,
    ]);
  });

  test('that is not available is told as down, and answers the next time', async () => {
    await market.fault('unavailable');
    await expect(client.accounts()).rejects.toMatchObject({ code: 'market-down' });
    expect(await client.accounts()).not.toHaveLength(0);
  });

  test('that loses the answer to a batch is asked once more at once, and has acted once', async () => {
    await market.fault('drop-after-commit');
    expect(await client.sendChanges(market.key, 'key-8', [keyword('lost answer')])).toMatchObject([
      { accepted: true },
    ]);
    expect(await count('lost answer')).toBe(1);
  });

  test('that is not there is told as down', async () => {
    const nowhere = marketClient('http://127.0.0.1:9', 'secret');
    expect(await nowhere.isUp()).toBe(false);
    await expect(nowhere.accounts()).rejects.toMatchObject({
      code: 'market-down',
      message: expect.stringContaining('Nothing is lost'),
    });
  });
});
