// How views ask the server: one way to send, one error.
import type { ErrorAnswer } from '../../contract/api';
import { PACKED_TYPE, unpack } from '../../contract/packed';
import { sending } from './unanswered';

/** A request that was refused, or that got no answer (code 'no-answer'). */
export class ApiError extends Error {
  readonly code: string;
  /** What is wrong with which value of the request. */
  readonly faults: ErrorAnswer['error']['faults'];

  constructor(code: string, message: string, faults: ErrorAnswer['error']['faults'] = []) {
    super(message);
    this.code = code;
    this.faults = faults;
  }
}

/** A request; `isQuestion`: it changes nothing, whatever its method. */
export interface Request extends RequestInit {
  isQuestion?: boolean;
}

/** Asks the server. @throws ApiError */
export const ask = <T>(path: string, init?: Request): Promise<T> =>
  init?.method === undefined || init.isQuestion
    ? answerOf<T>(path, init)
    : sending(() => answerOf<T>(path, init));

async function answerOf<T>(path: string, init?: Request): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(path, init);
  } catch {
    throw new ApiError(
      'no-answer',
      'Mowing does not answer. Is it still running? Nothing is lost; try again.',
    );
  }
  const body = (await bodyOf(answer).catch(() => null)) as T | ErrorAnswer | null;
  if (answer.ok && body !== null) return body as T;
  const error = (body as ErrorAnswer | null)?.error;
  throw new ApiError(
    error?.code ?? 'no-answer',
    error?.message ?? `The request failed (${answer.status}).`,
    error?.faults,
  );
}

const bodyOf = async (answer: Response): Promise<unknown> =>
  answer.headers.get('content-type') === PACKED_TYPE ? unpack(await answer.arrayBuffer()) : answer.json();

/** Asks for an answer with columns of numbers, as they lie in memory. @throws ApiError */
export const askColumns = <T>(path: string, init: Request = {}): Promise<T> =>
  ask<T>(path, { ...init, headers: { ...init.headers, accept: PACKED_TYPE } });

/** A question that is too long for an address. */
export const asking = (value: unknown): Request => ({ ...send('POST', value), isQuestion: true });

/** A request with a body, that changes something. */
export const send = (method: string, value: unknown): Request => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(value),
});

/** What stands behind the question mark; undefined is left out. */
export const query = (values: Record<string, string | number | undefined>) =>
  new URLSearchParams(
    Object.entries(values).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]])),
  );
