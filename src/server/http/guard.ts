import { MowingError } from '../../contract/mowingError';

/** Names under which this machine may be asked; MOWING_HOSTS adds more, parted by commas. */
function allowedHosts(): Set<string> {
  const more = (process.env.MOWING_HOSTS ?? '').split(',').map((name) => name.trim().toLowerCase());
  return new Set(['127.0.0.1', 'localhost', '[::1]', ...more.filter((name) => name !== '')]);
}

/** What a browser or script may ask with; anything else is refused before it reaches a page. */
export const METHODS: ReadonlySet<string> = new Set([
  'GET',
  'HEAD',
  'POST',
  'PUT',
  'PATCH',
  'DELETE',
  'OPTIONS',
]);

/** Whether the machine may be asked under a host's name, with or without a port. */
export const isAllowedHost = (host: string | undefined): boolean => allowedHosts().has(hostOf(host ?? ''));

const hostOf = (hostAndPort: string) => hostAndPort.toLowerCase().replace(/:\d+$/, '');

/**
 * Refuses requests under a foreign name (a page elsewhere whose name was pointed at this machine) and requests that
 * a page of another origin makes. Scripts on this machine send no Origin and are allowed.
 */
export function guardRequest(request: Request): void {
  const host = request.headers.get('host') ?? '';
  if (!isAllowedHost(host))
    throw new MowingError(
      'foreign-origin',
      `Mowing does not answer under the name “${hostOf(host)}”. Set MOWING_HOSTS to allow it.`,
    );
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}` && origin !== `https://${host}`)
    throw new MowingError(
      'foreign-origin',
      'The request comes from a page of another origin and was refused.',
    );
  if (request.headers.get('sec-fetch-site') === 'cross-site' && request.method !== 'GET')
    throw new MowingError('foreign-origin', 'The request comes from another site and was refused.');
}
