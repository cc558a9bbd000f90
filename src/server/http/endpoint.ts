import type { APIContext, APIRoute } from 'astro';
import type { ObjectSchema } from 'joi';
import type { ErrorAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { log } from '../context/context';

/** Largest JSON request taken, in bytes. Report files are not JSON and have no such limit. */
const MOST_JSON_BYTES = 20_000_000;

/** Makes an endpoint of a function: its value is answered as JSON, its errors as status and sentence. */
export function endpoint(handle: (context: APIContext) => Promise<unknown>): APIRoute {
  return async (context) => {
    try {
      const value = await handle(context);
      return value instanceof Response ? value : Response.json(value);
    } catch (error) {
      return errorResponse(error, context.url.pathname);
    }
  };
}

/** An answer whose JSON is made already. */
export const jsonText = (text: string): Response =>
  new Response(text, { headers: { 'content-type': 'application/json' } });

/** The answer to a failed request; what is not meant for users is logged and not told. */
export function errorResponse(error: unknown, path: string): Response {
  const known = error instanceof MowingError ? error : internal(error, path);
  const body: ErrorAnswer = { error: { code: known.code, message: known.message, faults: known.faults } };
  return Response.json(body, { status: known.status });
}

function internal(error: unknown, path: string): MowingError {
  log().error({ err: error, path }, 'request failed');
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

/** Values of the query string, checked. @throws MowingError with every fault */
export function readQuery<T>(context: APIContext, schema: ObjectSchema): T {
  return check(Object.fromEntries(context.url.searchParams), schema, 'query');
}

/** Values of the path, checked. */
export function readPath<T>(context: APIContext, schema: ObjectSchema): T {
  return check(context.params, schema, 'path');
}

/** The JSON body, checked. @throws MowingError for no JSON, too much of it, or faults in it */
export async function readBody<T>(context: APIContext, schema: ObjectSchema): Promise<T> {
  const text = await readText(context.request);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new MowingError('bad-request', 'The request’s body is not JSON.');
  }
  return check(value, schema, 'body');
}

async function readText(request: Request): Promise<string> {
  const decoder = new TextDecoder();
  let bytes = 0;
  let text = '';
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += part.length;
    if (bytes > MOST_JSON_BYTES)
      throw new MowingError('too-large', `The request is larger than ${MOST_JSON_BYTES / 1e6} MB.`);
    text += decoder.decode(part, { stream: true });
  }
  return text + decoder.decode();
}

function check<T>(value: unknown, schema: ObjectSchema, where: string): T {
  const result = schema.validate(value, { abortEarly: false, convert: true });
  if (!result.error) return result.value as T;
  const faults = result.error.details.map((fault) => ({
    where: [where, ...fault.path].join('.'),
    what: fault.message,
  }));
  throw new MowingError('bad-request', faults.map((fault) => fault.what).join('; '), faults);
}
