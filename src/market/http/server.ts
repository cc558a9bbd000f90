import { randomBytes, timingSafeEqual } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import fastify from 'fastify';
import type { FastifyInstance } from 'fastify';
import type { EntityKind, MarketChange, MarketReportKind } from '../../contract/market';
import { addDays } from '../../core/units';
import { scenarios } from '../sim';
import type { Scenario } from '../sim';
import { applyBatch } from '../store/changes/apply';
import type { MarketDb } from '../store/connection';
import { findMarketAccount, listEntities, listMarketAccounts, payIn } from '../store/entities';
import { advance, dropScenario, openScenario } from '../store/play';
import { suggestBids, suggestFor } from '../store/suggestions';
import type { SuggestQuestion } from '../store/suggestions';
import { ENTITY_KINDS } from '../store/tables';
import { worldOf } from '../store/worlds';
import { FaultList } from './faults';
import type { Fault } from './faults';
import { Bucket } from './limits';
import { ReportShelf } from './reportShelf';
import type { ReportFormat } from './reportShelf';
import {
  advanceSchema,
  fundsSchema,
  batchSchema,
  faultsSchema,
  reportSchema,
  suggestSchema,
} from './schemas';

const TOKEN_LIFE_MS = 60 * 60 * 1000;
const SLOW_MS = 3000;
/** Requests of one client: so many at once, refilled by so many a second. */
const REQUESTS = { most: 200, perSecond: 60 };

/** How far the days are that were asked to pass. */
interface Passing {
  done: number;
  of: number;
  trouble: string;
}

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
  const shelf = new ReportShelf(sql, folder);
  const passing = new Map<string, Passing>();
  const opening = new Map<string, Passing>();
  const known = new Map([...scenarios, ...more.map((one) => [one.key, one] as const)]);

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

  server.post<{ Params: { key: string } }>('/scenarios/:key', async (request, reply) => {
    const { key } = request.params;
    const scenario = known.get(key);
    if (!scenario) return refuse(reply, 404, 'no-scenario', `There is no scenario ${key}.`);
    const now = opening.get(key);
    if (now && now.trouble === '' && now.done < now.of) return reply.code(202).send(now);
    const state: Passing = { done: 0, of: scenario.days, trouble: '' };
    opening.set(key, state);
    // The last day is told when the transaction is through.
    openScenario(sql, scenario, (done, of) => (state.done = Math.min(done, of - 1)))
      .then(() => (state.done = state.of))
      .catch((error: Error) => {
        state.trouble = error.message;
        server.log.error(error);
      });
    return reply.code(202).send(state);
  });

  server.get<{ Params: { key: string } }>('/scenarios/:key', async (request, reply) => {
    const state = opening.get(request.params.key);
    return state ?? refuse(reply, 404, 'not-asked', `Nobody asked to open ${request.params.key}.`);
  });

  server.delete<{ Params: { key: string } }>('/scenarios/:key', async (request) => {
    await dropScenario(sql, request.params.key);
    return { dropped: true };
  });

  server.get('/accounts', () => listMarketAccounts(sql));

  server.addHook<{ Params: { account?: string } }>('preHandler', async (request, reply) => {
    const { account } = request.params ?? {};
    if (account !== undefined && !(await findMarketAccount(sql, account)))
      return refuse(reply, 404, 'no-such-account', `There is no account ${account}.`);
  });

  server.get<EntityRequest>('/accounts/:account/entities/:kind', async (request, reply) => {
    const { account, kind } = request.params;
    if (!ENTITY_KINDS.includes(kind as EntityKind))
      return refuse(reply, 404, 'no-such-kind', `There are no ${kind}.`);
    const { after = '', since = '0', limit = '1000' } = request.query;
    const size = Math.min(5000, Math.max(1, Number(limit)));
    const { changes } = (await findMarketAccount(sql, account))!;
    const items = await listEntities(sql, account, kind as EntityKind, {
      after,
      since: Number(since),
      limit: size,
    });
    // What changes from now on has a higher number than `cursor`.
    return { items, next: items.length === size ? items[items.length - 1].id : null, cursor: changes + 1 };
  });

  server.post<ReportRequest>(
    '/accounts/:account/reports',
    { schema: { body: reportSchema } },
    async (request, reply) => {
      const { kind, from, to, format, madeOn } = request.body;
      const { account } = request.params;
      if (from > to) return refuse(reply, 400, 'bad-span', `“to” (${to}) is before “from” (${from}).`);
      const question = { account, kind, from, to, madeOn: madeOn ?? '9999-12-31' };
      return reply.code(202).send(shelf.ask(question, format, faults.take('missing-day') !== null));
    },
  );

  server.get<OneReportRequest>('/accounts/:account/reports/:id', async (request, reply) => {
    const report = shelf.find(request.params.account, request.params.id);
    return (
      report ??
      refuse(reply, 404, 'no-such-report', 'There is no such report; it may have been cleared away.')
    );
  });

  server.get<OneReportRequest>('/accounts/:account/reports/:id/file', async (request, reply) => {
    const file = shelf.fileOf(request.params.account, request.params.id);
    if (!file) return refuse(reply, 404, 'no-such-report', 'The report is not ready, or was cleared away.');
    void reply.type('application/gzip');
    const cut = faults.take('truncated-file') ? { end: Math.floor(statSync(file).size / 2) } : {};
    return reply.send(createReadStream(file, cut));
  });

  server.post<BatchRequest>(
    '/accounts/:account/changes',
    { schema: { body: batchSchema } },
    async (request, reply) => {
      const key = request.headers['idempotency-key'];
      if (typeof key !== 'string' || key === '')
        return refuse(reply, 400, 'no-key', 'Send an Idempotency-Key with every batch.');
      const failAfter = faults.take('fail-mid-batch')
        ? Math.floor(request.body.changes.length / 2)
        : undefined;
      const answers = await applyBatch(sql, request.params.account, key, request.body.changes, failAfter);
      if (faults.take('drop-after-commit')) request.raw.socket.destroy();
      return { answers };
    },
  );

  const worldOfAccount = async (account: string) =>
    worldOf(known.get((await findMarketAccount(sql, account))!.scenario)!);

  server.post<SuggestRequest>(
    '/accounts/:account/suggestions/bids',
    { schema: { body: suggestSchema } },
    async (request) => {
      const { account } = request.params;
      return {
        suggestions: await suggestBids(sql, account, await worldOfAccount(account), request.body.targets),
      };
    },
  );

  server.get<SuggestTargetsRequest>('/accounts/:account/suggestions/targets', async (request) => {
    const { account } = request.params;
    const { adGroup, limit = '50' } = request.query;
    return {
      suggestions: await suggestFor(
        sql,
        account,
        await worldOfAccount(account),
        adGroup,
        Math.min(200, Number(limit)),
      ),
    };
  });

  server.get<AccountRequest>('/accounts/:account/clock', async (request) => {
    const { today } = (await findMarketAccount(sql, request.params.account))!;
    return { today, passing: passing.get(request.params.account) ?? null };
  });

  server.post<AccountRequest & { Body: { amount: number } }>(
    '/accounts/:account/funds',
    { schema: { body: fundsSchema } },
    async (request, reply) => {
      const funds = await payIn(sql, request.params.account, request.body.amount);
      return funds === null
        ? refuse(reply, 409, 'not-prepaid', 'This account is billed afterwards.')
        : { funds };
    },
  );

  server.post<AdvanceRequest>(
    '/accounts/:account/advance',
    { schema: { body: advanceSchema } },
    async (request, reply) => {
      const { account } = request.params;
      const { scenario, today } = (await findMarketAccount(sql, account))!;
      const now = passing.get(account);
      if (now && now.trouble === '' && now.done < now.of)
        return refuse(reply, 409, 'passing-already', `Days are passing already: ${now.done} of ${now.of}.`);
      const { days } = request.body;
      const state: Passing = { done: 0, of: days, trouble: '' };
      passing.set(account, state);
      advance(sql, known.get(scenario)!, account, days, (done) => (state.done = done)).catch(
        (error: Error) => {
          state.trouble = error.message;
          server.log.error(error);
        },
      );
      return reply.code(202).send({ today, until: addDays(today, days), passing: state });
    },
  );

  return server;
}

type AccountRequest = { Params: { account: string } };
type EntityRequest = {
  Params: { account: string; kind: string };
  Querystring: { after?: string; since?: string; limit?: string };
};
type ReportRequest = {
  Params: { account: string };
  Body: { kind: MarketReportKind; from: string; to: string; format: ReportFormat; madeOn?: string };
};
type OneReportRequest = { Params: { account: string; id: string } };
type BatchRequest = { Params: { account: string }; Body: { changes: MarketChange[] } };
type SuggestRequest = { Params: { account: string }; Body: { targets: SuggestQuestion[] } };
type SuggestTargetsRequest = {
  Params: { account: string };
  Querystring: { adGroup: string; limit?: string };
};
type AdvanceRequest = { Params: { account: string }; Body: { days: number } };

function refuse(
  reply: { code: (status: number) => { send: (body: unknown) => unknown } },
  status: number,
  code: string,
  sentence: string,
) {
  return reply.code(status).send({ code, sentence });
}

function isSecret(given: string, secret: string): boolean {
  const [a, b] = [Buffer.from(given), Buffer.from(secret)];
  return a.length === b.length && timingSafeEqual(a, b);
}
