import type { WhereFrom } from './whereFrom';
import { SESSION_COOKIE } from '../people/visitor';

/** Longer than any session lasts: the database ends it. */
const MAX_AGE_S = 180 * 24 * 3600;

/** An answer that lets its browser carry a session: scripts of a page cannot read it, pages elsewhere cannot use it. @param secret null: carries none any more */
export function sessionAnswer({ isSecure }: WhereFrom, secret: string | null, status = 200): Response {
  const parts = [
    `${SESSION_COOKIE}=${secret ?? ''}`,
    'Path=/',
    'HttpOnly',
    'SameSite=Lax',
    `Max-Age=${secret === null ? 0 : MAX_AGE_S}`,
    ...(isSecure ? ['Secure'] : []),
  ];
  return Response.json({ in: secret !== null }, { status, headers: { 'set-cookie': parts.join('; ') } });
}

/** What a browser says of itself, for the list of sessions. */
export const browserOf = (request: Request): string =>
  (request.headers.get('user-agent') ?? '').slice(0, 300);
