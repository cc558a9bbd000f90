import type { APIContext, APIRoute } from 'astro';
import type { ObjectSchema } from 'joi';
import type { ErrorAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { log, reading, READING_AT_ONCE } from '../context/context';
import { inMoneyOf } from '../context/ownMoney';
import { RIGHTS } from '../../contract/people';
import type { Right } from '../../contract/people';
import { noSuchAccount } from '../accounts/accounts';
import { isClosed } from '../people/openness';
import type { Visitor } from '../people/visitor';
import type { Caller } from '../trail';
import { needOwned } from '../accounts/owned';
import type { Named } from '../accounts/owned';
import { isDiskFull } from '../machine/room';
import { drainBody } from './bodyOf';
import { readBody, readValues } from './read';
import { shares } from './share';
import { Turns } from './turns';
import type { WhereFrom } from './whereFrom';

/** What an endpoint's work is given: everything is checked by then. */
interface Asked<Q, B, P> {
  query: Q;
  body: B;
  path: P;
  caller: Caller;
  /** Null at an endpoint for anyone. */
  visitor: Visitor | null;
  request: Request;
  from: WhereFrom;
}

interface EndpointSpec<Q, B, P> {
  /** Who may call it: whoever has a right on the account that it is about; somebody who is signed in, for herself; or anyone. */
  may: Right | 'self' | 'anyone';
  /** The account that it is about, where neither query nor body names it as `account`. */
  about?: (asked: { query: Q; body: B; path: P }) => number;
  query?: ObjectSchema<Q>;
  /** What is asked about by its id, and has to be the account's: else the answer is 404. */
  owned?: (asked: { query: Q; body: B; path: P }) => { account: number } & Named;
  /** Of JSON. Report files are read from the request as they come. */
  body?: ObjectSchema<B>;
  path?: ObjectSchema<P>;
  /** Reads next to nothing: it waits for no turn, and answers while others are busy. */
  isLight?: boolean;
  /** Of the answer, when all is well. */
  status?: number;
  run: (asked: Asked<Q, B, P>) => unknown;
}

/** An endpoint, with who may call it written on it. */
export type Endpoint = APIRoute & {
  may: Right | 'self' | 'anyone';
  /** Where it names the account that it is about. */
  about: ('path' | 'query' | 'body')[];
};

/**
 * Makes an endpoint: asks who calls, checks what comes in by its schemas (whose types the work is handed), and answers the value of the
 * work as JSON, its errors as status and sentence.
 */
export function endpoint<Q = undefined, B = undefined, P = undefined>(spec: EndpointSpec<Q, B, P>): Endpoint {
  const { may, status, run } = spec;
  const route: APIRoute = async (context) => {
    const answer = await answered(context);
    // The sender of a body hears an answer only behind its own end.
    if (!(await drainBody(context.request))) answer.headers.set('connection', 'close');
    return answer;
  };
  const answered = async (context: APIContext): Promise<Response> => {
    try {
      await shares().takeOfAddress(context.locals.from.address, isClosed);
      // What is for anyone asks nobody's name: health answers also while the database hangs.
      const visitor = may === 'anyone' ? null : await context.locals.visitor();
      if (!visitor && may !== 'anyone') throw notSignedIn();
      if (visitor) await shares().takeOwn(visitor);
      const read = {
        path: spec.path ? readValues(context.params, spec.path, 'path') : (undefined as P),
        query: spec.query
          ? readValues(Object.fromEntries(context.url.searchParams), spec.query, 'query')
          : (undefined as Q),
        body: spec.body ? await readBody(context.request, spec.body) : (undefined as B),
      };
      const account = spec.about?.(read) ?? accountIn(read.query) ?? accountIn(read.body);
      const { request } = context;
      const asked = {
        ...read,
        caller: callerOn(visitor, may, account),
        visitor,
        request,
        from: context.locals.from,
      };
      if (spec.owned) {
        const { account: of, ...named } = spec.owned(asked);
        await needOwned(of, named);
      }
      const answer = () => (account === undefined ? run(asked) : inMoneyOf(account, () => run(asked)));
      const value = may === 'see' && !spec.isLight ? await inTurn(request, answer) : await answer();
      return value instanceof Response ? value : Response.json(value, { status });
    } catch (error) {
      return errorResponse(error, context.url.pathname);
    }
  };
  const names = (schema?: ObjectSchema) => 'account' in ((schema?.describe().keys ?? {}) as object);
  const about: Endpoint['about'] = [
    ...(spec.about ? (['path'] as const) : []),
    ...(names(spec.query) ? (['query'] as const) : []),
    ...(names(spec.body) ? (['body'] as const) : []),
  ];
  return Object.assign(route, { may, about });
}

/** Many look at once: a few are answered at once, some wait, and the rest is told to come back. */
const turns = new Turns({ atOnce: READING_AT_ONCE, waiting: 200, patienceMs: 15_000 });

function inTurn(request: Request, work: () => unknown): Promise<unknown> {
  const { signal } = request;
  const once = () => turns.take(signal, () => reading(signal, async () => work()));
  // The cancel of another's query may come late and meet this one: it is asked again.
  return once().catch((error: unknown) => {
    if (isCancelled(error) && !signal.aborted && request.method === 'GET') return once();
    throw error;
  });
}

/** By the database, or because the client has left. */
const isCancelled = (error: unknown) =>
  (error as { code?: unknown }).code === '57014' || (error as { name?: string }).name === 'AbortError';

const accountIn = (values: unknown) => (values as { account?: number } | undefined)?.account;

/** Who asks, with the rights on the account. @throws MowingError for an account that is not hers to see, and for want of the right */
function callerOn(visitor: Visitor | null, may: Right | 'self' | 'anyone', account?: number): Caller {
  if (!visitor || may === 'self' || may === 'anyone') return { name: visitor?.name ?? 'nobody', rights: [] };
  const { name, ownsAll } = visitor;
  const rights = account !== undefined ? visitor.rightsOn(account) : ownsAll ? RIGHTS : (['see'] as const);
  if (rights === null) throw noSuchAccount(account!);
  if (!rights.includes(may))
    throw new MowingError(
      'forbidden',
      `${name} may not do this here: it takes the right to ${may}. Ask an owner of the account.`,
    );
  return { name, rights };
}

/** The answer to whoever has to sign in first. */
export const notSignedIn = () =>
  new MowingError(
    'not-signed-in',
    'You are not signed in, or no longer. Sign in, and try again; nothing was changed.',
  );

/** The answer to a script that asks for what no endpoint answers. */
export const nothingThere = (method: string, path: string): Response =>
  errorResponse(new MowingError('not-found', `Nothing answers ${method} ${path}.`), path);

/** The answer to a failed request; what is not meant for users is logged and not told. */
export function errorResponse(error: unknown, path: string): Response {
  const known = error instanceof MowingError ? error : internal(error, path);
  const body: ErrorAnswer = { error: { code: known.code, message: known.message, faults: known.faults } };
  const headers = known.retryAfterS ? { 'retry-after': String(known.retryAfterS) } : undefined;
  return Response.json(body, { status: known.status, headers });
}

function internal(error: unknown, path: string): MowingError {
  if (!isCancelled(error)) log().error({ err: error, path }, 'request failed');
  if (isCancelled(error))
    return new MowingError(
      'busy',
      'That took the database too long and was ended. Nothing was changed. Ask for fewer days or rows, or try again.',
    );
  if (isDiskFull(error))
    return new MowingError(
      'no-room',
      'The disk is full. Nothing was changed. Make room on the disk of the data folder, and try again.',
    );
  if (isDatabaseDown(error))
    return new MowingError(
      'internal',
      'The database does not answer. Nothing was changed. Try again in a moment; if it stays so, start Mowing again.',
    );
  return new MowingError(
    'internal',
    'Mowing failed at this request, and its log tells why. Nothing was changed.',
  );
}

function isDatabaseDown(error: unknown): boolean {
  return /CONN|^57P0|^08/.test(String((error as { code?: string }).code ?? ''));
}
