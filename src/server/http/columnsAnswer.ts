import { createHash } from 'node:crypto';
import { asJson, pack, PACKED_TYPE, unpack } from '../../contract/packed';

/** Whether columns of numbers are wanted as they lie in memory. */
export const asksForColumns = (request: Request): boolean =>
  request.headers.get('accept')?.includes(PACKED_TYPE) ?? false;

/**
 * An answer with columns of numbers: packed for whoever asks for that, JSON for everybody else. A browser that has the same answer already
 * is told so and gets nothing.
 */
export function columnsAnswer(request: Request, value: object): Response {
  const isPacked = asksForColumns(request);
  const body = isPacked ? pack(value) : asJson(value);
  const etag = `"${createHash('sha1').update(body).digest('base64url')}"`;
  const headers = {
    'content-type': isPacked ? PACKED_TYPE : 'application/json',
    'cache-control': 'private, no-cache',
    vary: 'accept',
    etag,
  };
  if (request.headers.get('if-none-match')?.includes(etag))
    return new Response(null, { status: 304, headers });
  return new Response(body, { headers });
}

/** The same of what lies packed already; nothing of it is kept in the browser. */
export function packedAnswer(request: Request, bytes: ArrayBuffer): Response {
  const isPacked = asksForColumns(request);
  return new Response(isPacked ? bytes : asJson(unpack(bytes)), {
    headers: {
      'content-type': isPacked ? PACKED_TYPE : 'application/json',
      'cache-control': 'no-store',
    },
  });
}
