import type { Site } from '../people/passkeys';
import type { WhereFrom } from './whereFrom';

/** Under which name and origin a browser asks; the name was looked at before any endpoint. */
export function siteOf(request: Request, { isSecure }: WhereFrom): Site {
  const host = request.headers.get('host') ?? '';
  return { host: host.replace(/:\d+$/, ''), origin: `${isSecure ? 'https' : 'http'}://${host}` };
}
