import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { FastifyInstance } from 'fastify';
import { marketServer } from '../../src/market/http/server';
import { smallScenario } from '../../src/market/sim';
import type { Scenario } from '../../src/market/sim';
import { connectMarket } from '../../src/market/store/connection';
import { dropScenario, openScenario } from '../../src/market/store/play';

/** A market of a test's own: a small seller, a few days, its real HTTP side on a free port. */
export async function aMarket(over: Partial<Scenario> = {}) {
  const secret = randomUUID();
  const key = `test-${randomUUID().slice(0, 8)}`;
  const folder = mkdtempSync(path.join(tmpdir(), 'mowing-market-'));
  const books = connectMarket(process.env.DATABASE_URL!);
  const scenario = { ...smallScenario(), key, accountName: 'Test shop', days: 20, ...over };
  let server: FastifyInstance;
  let port = 0;
  const open = async () => {
    server = marketServer({ sql: books, secret, folder, isLogged: false, more: [scenario] });
    await server.listen({ port, host: '127.0.0.1' });
    port = (server.server.address() as { port: number }).port;
  };
  await open();
  await openScenario(books, scenario);
  const url = `http://127.0.0.1:${port}`;
  const ask = (path_: string, init: RequestInit & { json?: unknown } = {}) =>
    fetch(`${url}${path_}`, {
      ...init,
      ...(init.json === undefined ? {} : { method: 'POST', body: JSON.stringify(init.json) }),
      headers: {
        ...(init.json === undefined ? {} : { 'content-type': 'application/json' }),
        ...(init.headers as Record<string, string>),
      },
    });
  const signIn = async () =>
    ((await (await ask('/token', { json: { secret } })).json()) as { token: string }).token;
  return {
    key,
    secret,
    url,
    books,
    scenario,
    ask,
    signIn,
    /** What goes wrong next, each once: see the market's list of faults. */
    fault: async (...faults: string[]) => {
      await ask('/faults', { json: { faults }, headers: { authorization: `Bearer ${await signIn()}` } });
    },
    goDown: () => server.close(),
    comeBack: open,
    end: async () => {
      await server.close();
      await dropScenario(books, key);
      await books.end();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type TestMarket = Awaited<ReturnType<typeof aMarket>>;
