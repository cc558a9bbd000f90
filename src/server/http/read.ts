import type { ObjectSchema } from 'joi';
import { MowingError } from '../../contract/mowingError';
import { bodyOf } from './bodyOf';

/** Largest JSON request taken, in bytes. Report files are not JSON and have no such limit. */
const MOST_JSON_BYTES = 20_000_000;

/** The JSON body of a request, checked. @throws MowingError for no JSON, too much of it, or faults in it */
export async function readBody<T>(request: Request, schema: ObjectSchema<T>): Promise<T> {
  const text = await readText(request);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new MowingError('bad-request', 'The request’s body is not JSON.');
  }
  // Most bodies can hold none, and looking through thousands of changes takes a tenth of a second.
  return checked(value, schema, 'body', UNKEPT_ESCAPE.test(text));
}

async function readText(request: Request): Promise<string> {
  const decoder = new TextDecoder();
  let bytes = 0;
  let text = '';
  for await (const part of bodyOf(request)) {
    bytes += part.length;
    if (bytes > MOST_JSON_BYTES)
      throw new MowingError('too-large', `The request is larger than ${MOST_JSON_BYTES / 1e6} MB.`);
    text += decoder.decode(part, { stream: true });
  }
  return text + decoder.decode();
}

/** How JSON writes a NUL, or half a character; what is read as UTF-8 holds no half, and no JSON holds a bare NUL. */
const UNKEPT_ESCAPE = /\\u(?:0000|d[89a-f])/i;

/** Values as their schema has them. @param where they stand: query, path, body @throws MowingError with every fault */
export const readValues = <T>(value: unknown, schema: ObjectSchema<T>, where: string): T =>
  checked(value, schema, where, true);

function checked<T>(value: unknown, schema: ObjectSchema<T>, where: string, mayHoldUnkept: boolean): T {
  const unkept = mayHoldUnkept ? unkeptTexts(value, where) : [];
  if (unkept.length > 0)
    throw new MowingError('bad-request', unkept.map((fault) => fault.what).join('; '), unkept);
  const result = schema.validate(value, { abortEarly: false, convert: true });
  if (!result.error) return result.value as T;
  const faults = result.error.details.map((fault) => ({
    where: [where, ...fault.path].join('.'),
    what: fault.message,
  }));
  throw new MowingError('bad-request', faults.map((fault) => fault.what).join('; '), faults);
}

/** Texts that no database keeps: with a NUL, or with half a character. */
function unkeptTexts(value: unknown, where: string): { where: string; what: string }[] {
  if (typeof value === 'string') {
    if (value.includes('\0')) return [{ where, what: `"${where}" holds a NUL character` }];
    // Half of a pair that makes one character.
    return /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(value)
      ? [{ where, what: `"${where}" holds half a character` }]
      : [];
  }
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => [
    ...unkeptTexts(key, `${where}.${key.replace(/[^\w-]/g, '?')}`),
    ...unkeptTexts(one, `${where}.${key.replace(/[^\w-]/g, '?')}`),
  ]);
}
