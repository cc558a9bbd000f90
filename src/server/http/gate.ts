import type { IncomingMessage, ServerResponse } from 'node:http';
import { isAllowedHost, METHODS } from './guard';
import { HEADERS } from './secureHeaders';

/** What the framework would answer besides our pages: pictures made to order cost memory by the gigabyte, and nothing here asks for one. */
const CLOSED = /^\/_(image|server-islands|actions)(\/|\?|$)/;

/**
 * Stands before files and pages alike: security headers on every answer, no method but the usual ones, no foreign host's name, nothing of
 * the framework's own that is not used.
 * @returns whether the request may go on; else it is answered
 */
export function passGate(
  { method = '', url = '', headers }: IncomingMessage,
  response: ServerResponse,
): boolean {
  for (const [name, value] of HEADERS) response.setHeader(name, value);
  const refuse = (status: number, code: string, message: string, more: Record<string, string> = {}) => {
    response.writeHead(status, { 'content-type': 'application/json', ...more });
    response.end(JSON.stringify({ error: { code, message, faults: [] } }));
    return false;
  };
  if (!METHODS.has(method))
    return refuse(405, 'bad-request', `${method} is no way to ask here.`, { allow: [...METHODS].join(', ') });
  if (!isAllowedHost(headers.host))
    return refuse(
      403,
      'foreign-origin',
      'Mowing does not answer under this name. Set MOWING_HOSTS to allow it.',
    );
  if (CLOSED.test(url)) return refuse(404, 'not-found', 'There is no such page.');
  return true;
}
