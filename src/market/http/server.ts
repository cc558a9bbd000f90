import { randomBytes, timingSafeEqual } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import fastify from 'fastify';
import type { FastifyInstance } from 'fastify';
import { scenarios } from '../sim';
import type { Scenario } from '../sim';
import type { MarketDb } from '../store/connection';
import { findMarketAccount, listMarketAccounts } from '../store/entities';
import { FaultList } from './faults';
import type { Fault } from './faults';
import { Bucket } from './limits';
import { refuse } from './market';
import type { Market } from './market';
import { ReportShelf } from './reportShelf';
import { addChanges } from './routes/changes';
import { addClock } from './routes/clock';
import { addEntities } from './routes/entities';
import { addPictures } from './routes/pictures';
import { addReports } from './routes/reports';
import { addScenarios } from './routes/scenarios';
import { addShop } from './routes/shop';
import { faultsSchema } from './schemas';

const TOKEN_LIFE_MS = 60 * 60 * 1000;
const SLOW_MS = 3000;
/** Requests of one client: so many at once, refilled by so many a second. */
const REQUESTS = { most: 200, perSecond: 60 };

/** What a market server needs. */
export interface MarketServerOptions {
  sql: MarketDb;
  /** What a client signs in with. */
  secret: string;
  /** Where report files are kept for an hour. */
  folder: string;
  isLogged: boolean;
  /** Scenarios besides those of the simulation: for tests. */
  more?: Scenario[];
}

/** The market's HTTP side on an open database. */
export function marketServer({
  sql,
  secret,
  folder,
  isLogged,
  more = [],
}: MarketServerOptions): FastifyInstance {
  const server = fastify({
    logger: isLogged ? { base: { part: 'market' } } : false,
    bodyLimit: 16 * 1024 * 1024,
    // Left on, checking a change against the other kinds would strip the properties of its own.
    ajv: { customOptions: { removeAdditional: false, allowUnionTypes: true } },
  });
  const tokens = new Map<string, { until: number; bucket: Bucket }>();
  const faults = new FaultList();
  const market: Market = {
    server,
    sql,
    faults,
    shelf: new ReportShelf(sql, folder),
    known: new Map([...scenarios, ...more.map((one) => [one.key, one] as const)]),
  };

  server.get('/health', async () => ({
    ok: true,
    database: (await sql`select 1 as one`).length === 1 ? 'ok' : 'down',
  }));

  server.post<{ Body: { secret?: string } }>('/token', async (request, reply) => {
    if (!isSecret(request.body?.secret ?? '', secret))
      return refuse(reply, 401, 'wrong-secret', 'The secret is wrong.');
    const token = randomBytes(24).toString('hex');
    tokens.set(token, {
      until: Date.now() + TOKEN_LIFE_MS,
      bucket: new Bucket(REQUESTS.most, REQUESTS.perSecond),
    });
    return { token, expiresInSeconds: TOKEN_LIFE_MS / 1000 };
  });

  server.addHook('onRequest', async (request, reply) => {
    if (['/health', '/token'].includes(request.url)) return;
    const client = tokens.get(/^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1] ?? '');
    if (!client || client.until < Date.now())
      return refuse(reply, 401, 'no-token', 'Sign in at /token first.');
    if (request.url.startsWith('/faults')) return;
    const wait = faults.take('too-many') ? 1 : client.bucket.take();
    if (wait > 0) {
      void reply.header('retry-after', String(wait));
      return refuse(reply, 429, 'too-many', `Too many requests; come back in ${wait} s.`);
    }
    if (faults.take('unavailable')) return refuse(reply, 503, 'unavailable', 'The market is not available.');
    if (faults.take('error')) return refuse(reply, 500, 'error', 'The market made a mistake.');
    if (faults.take('slow')) await sleep(SLOW_MS);
  });

  server.post<{ Body: { faults: Fault[] } }>(
    '/faults',
    { schema: { body: faultsSchema } },
    async (request) => {
      faults.set(request.body.faults);
      return { faults: faults.waiting };
    },
  );

  addScenarios(market);
  server.get('/accounts', () => listMarketAccounts(sql));

  server.addHook<{ Params: { account?: string } }>('preHandler', async (request, reply) => {
    const { account } = request.params ?? {};
    if (account !== undefined && !(await findMarketAccount(sql, account)))
      return refuse(reply, 404, 'no-such-account', `There is no account ${account}.`);
  });
  addEntities(market);
  addReports(market);
  addChanges(market);
  addClock(market);
  addShop(market);
  addPictures(market);
  return server;
}

function isSecret(given: string, secret: string): boolean {
  const [a, b] = [Buffer.from(given), Buffer.from(secret)];
  return a.length === b.length && timingSafeEqual(a, b);
}
