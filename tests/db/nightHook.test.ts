import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { USUAL_RULE } from '../../src/core/rules';
import { insertJob } from '../../src/db/queries/jobs';
import { closeContext, db } from '../../src/server/context/context';
import { JOB_KINDS } from '../../src/server/jobs/kinds';
import { runDueJobs } from '../../src/server/jobs/runJobs';
import { loadHook, setHook, tellNights } from '../../src/server/standing/hook/hook';
import { isInside, signatureOf } from '../../src/server/standing/hook/post';
import { saveRule } from '../../src/server/standing/rules';
import { runNight } from '../../src/server/standing/runNight';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop } from './shop';
import type { Shop } from './shop';

// What a night did is told to another program: signed, once, tried again, and never inside by chance.

const SECRET = 'a secret of eight';
let shop: Shop;
let account: number;
let listener: Server;
let url: string;
let answer = 204;
const heard: { body: string; signature: string | undefined }[] = [];

beforeAll(async () => {
  shop = await aShop({ days: 75 });
  ({ account } = shop);
  listener = createServer((request, response) => {
    let body = '';
    request.on('data', (part: Buffer) => (body += part.toString()));
    request.on('end', () => {
      heard.push({ body, signature: request.headers['x-mowing-signature'] as string | undefined });
      response.writeHead(answer).end();
    });
  });
  await new Promise<void>((resolve) => listener.listen(0, '127.0.0.1', resolve));
  url = `http://127.0.0.1:${(listener.address() as AddressInfo).port}/nights`;
  const rule = { ...USUAL_RULE, name: 'Bids', work: 'bids' } as const;
  await saveRule(THIS_MACHINE, { account, rule, isOn: true });
}, 240_000);
beforeEach(async () => {
  await shop.calm();
  heard.length = 0;
  answer = 204;
  process.env.MOWING_HOOKS_INSIDE = 'yes';
  await db()`delete from mowing.rule_night where account_id = ${account}`;
  await setHook(THIS_MACHINE, { account, url, secret: SECRET });
});
afterAll(async () => {
  delete process.env.MOWING_HOOKS_INSIDE;
  listener.close();
  await shop.end();
  await closeContext();
});

test('the night is told once, signed with the secret, with what was done and left', async () => {
  const { nights } = await runNight(account);
  expect(await tellNights(account)).toBe('1 night told.');
  const [{ body, signature }] = heard;
  expect(signature).toBe(`sha256=${signatureOf(body, SECRET)}`);
  expect(JSON.parse(body)).toMatchObject({
    account: { id: account },
    nights: [{ rule: 'Bids', state: 'done', changes: nights[0].made }],
    stopped: [],
  });
  expect(await tellNights(account)).toBeNull();
  expect(heard).toHaveLength(1);
});

test('an address that does not take it is tried again later, and nothing is lost', async () => {
  await runNight(account);
  answer = 500;
  await insertJob(db(), account, 'hook', {});
  const own = JOB_KINDS.filter(({ name }) => name === 'hook');
  await runDueJobs(own);
  expect((await loadHook(account)).said).toMatch(/did not take it: it answered 500/);
  answer = 200;
  await db()`update mowing.job set next_try_at = now() where account_id = ${account} and state = 'waiting'`;
  await runDueJobs(own);
  expect(heard).toHaveLength(2);
  expect((await loadHook(account)).said).toBe('1 night told.');
});

describe('an address inside', () => {
  test('is refused unless whoever runs Mowing allows it, also behind a name', async () => {
    delete process.env.MOWING_HOOKS_INSIDE;
    await runNight(account);
    await expect(tellNights(account)).rejects.toThrow(/own network/);
    await setHook(THIS_MACHINE, { account, url: url.replace('127.0.0.1', 'localhost') });
    await db()`update mowing.account set night_told = 0 where account_id = ${account}`;
    await expect(tellNights(account)).rejects.toThrow(/own network/);
    expect(heard).toEqual([]);
  });

  test('is told by every notation of it', () => {
    const inside = [
      '127.0.0.1',
      '10.1.2.3',
      '172.31.0.1',
      '192.168.1.1',
      '169.254.169.254',
      '0.0.0.0',
      '::1',
      'fd00::1',
      'fe80::1',
      '::ffff:10.0.0.1',
    ];
    expect(inside.filter((one) => !isInside(one))).toEqual([]);
    expect(['93.184.216.34', '172.32.0.1', '2606:2800:220:1::1'].filter(isInside)).toEqual([]);
  });
});

test('a first address needs a secret, and the secret is never told', async () => {
  await setHook(THIS_MACHINE, { account, url: null });
  await expect(setHook(THIS_MACHINE, { account, url })).rejects.toThrow(/Say a secret too/);
  expect(JSON.stringify(await setHook(THIS_MACHINE, { account, url, secret: SECRET }))).not.toContain(SECRET);
});
