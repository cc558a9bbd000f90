import type { APIContext } from 'astro';
import { afterAll, expect, test } from 'vitest';
import { accountQuery } from '../../src/contract/schemas';
import { formatMoney } from '../../src/core/units';
import { insertJob, listJobs } from '../../src/db/queries/jobs';
import { closeContext, db } from '../../src/server/context/context';
import { endpoint } from '../../src/server/http/endpoint';
import { runDueJobs } from '../../src/server/jobs/runJobs';
import { ANYBODY } from '../../src/server/people/visitor';
import { anAccount } from './account';

// What the server puts into words has money with the decimals of the account's currency, whatever else it works on meanwhile.

afterAll(closeContext);

const CURRENCIES = ['EUR', 'JPY', 'KWD'];
const AS_TOLD = { EUR: '1,234.50', JPY: '1,235', KWD: '1,234.500' };

/** An amount in words, after the others had their turn. */
async function told(): Promise<string> {
  for (let turn = 0; turn < 3; turn += 1) await db()`select pg_sleep(0.01)`;
  return formatMoney(1_234_500_000);
}

/** What each of three accounts is told at once, by currency. */
async function toldAtOnce(ask: (accountId: number) => Promise<string>) {
  const accounts = await Promise.all(CURRENCIES.map(anAccount));
  const words = await Promise.all(accounts.map(({ id }) => ask(id)));
  return Object.fromEntries(accounts.map(({ currency }, at) => [currency, words[at]]));
}

test('requests', async () => {
  const route = endpoint({ may: 'see', query: accountQuery, run: told });
  const ask = async (accountId: number) => {
    const url = new URL(`http://127.0.0.1/api/x?account=${accountId}`);
    const from = { address: '127.0.0.1', isSecure: false };
    const locals = { visitor: async () => ANYBODY, from };
    const answer = await route({
      url,
      request: new Request(url),
      params: {},
      locals,
    } as unknown as APIContext);
    return (await answer.json()) as string;
  };
  expect(await toldAtOnce(ask)).toEqual(AS_TOLD);
});

test('jobs', async () => {
  const kind = { name: 'test-money', run: told, tries: 1, firstPauseS: 0, dailyAt: null };
  const said = await toldAtOnce(async (accountId) => {
    await insertJob(db(), accountId, kind.name, {});
    await runDueJobs([kind]);
    await expect.poll(async () => (await listJobs(db(), accountId))[0].state).toBe('done');
    return (await listJobs(db(), accountId))[0].message!;
  });
  expect(said).toEqual(AS_TOLD);
});
