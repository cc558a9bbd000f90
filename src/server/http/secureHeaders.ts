/** What every answer carries, files too. */
export const HEADERS: readonly (readonly [string, string])[] = [
  ['x-content-type-options', 'nosniff'],
  ['x-frame-options', 'DENY'],
  ['referrer-policy', 'no-referrer'],
  ['cross-origin-opener-policy', 'same-origin'],
  // With the one above: the page's workers may share memory with it.
  ['cross-origin-embedder-policy', 'require-corp'],
  ['cross-origin-resource-policy', 'same-origin'],
];

/**
 * Security headers. For pages, the scripts that the build writes into the page itself are allowed one by one, by the hashes that the
 * build knows; whatever else stands in a page does not run. Styles may be inline: the component library sets them.
 */
export function secure(response: Response, isByTls = false): Response {
  const headers = new Headers(response.headers);
  for (const [name, value] of HEADERS) headers.set(name, value);
  if (isByTls) headers.set('strict-transport-security', 'max-age=31536000');
  const isPage = headers.get('content-type')?.startsWith('text/html');
  if (isPage) headers.set(POLICY, policyWith(headers.get(POLICY) ?? ''));
  headers.set('cache-control', isPage ? 'no-store' : (headers.get('cache-control') ?? 'no-store'));
  return new Response(response.body, { status: response.status, headers });
}

const POLICY = 'content-security-policy';

/** @param built the framework's own policy, of which the part for scripts is taken */
function policyWith(built: string): string {
  const hashes = /script-src ([^;]*)/.exec(built)?.[1].match(/'sha256-[A-Za-z0-9+/=]+'/g) ?? [];
  return [
    "default-src 'none'",
    `script-src 'self' ${[...new Set(hashes)].join(' ')}`.trim(),
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}
