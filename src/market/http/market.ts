import type { FastifyInstance } from 'fastify';
import type { Scenario } from '../sim';
import type { MarketDb } from '../store/connection';
import type { FaultList } from './faults';
import type { ReportShelf } from './reportShelf';

/** What the routes of the market share. */
export interface Market {
  server: FastifyInstance;
  sql: MarketDb;
  faults: FaultList;
  shelf: ReportShelf;
  /** Scenarios by their key. */
  known: ReadonlyMap<string, Scenario>;
}

/** How far the days are that were asked to pass. */
export interface Passing {
  done: number;
  of: number;
  trouble: string;
}

export type AccountRequest = { Params: { account: string } };

/** Refuses a request with a code and a sentence. */
export function refuse(
  reply: { code: (status: number) => { send: (body: unknown) => unknown } },
  status: number,
  code: string,
  sentence: string,
) {
  return reply.code(status).send({ code, sentence });
}
