import { createHash } from 'node:crypto';

/** What every answer carries, files too. */
export const HEADERS: readonly (readonly [string, string])[] = [
  ['x-content-type-options', 'nosniff'],
  ['x-frame-options', 'DENY'],
  ['referrer-policy', 'no-referrer'],
  ['cross-origin-opener-policy', 'same-origin'],
  ['cross-origin-resource-policy', 'same-origin'],
];

/**
 * Security headers. For pages, the scripts that the framework writes into the page itself are allowed one by one, by
 * their hash; no other inline script runs. Styles may be inline: the component library sets them.
 */
export async function secure(response: Response): Promise<Response> {
  const headers = new Headers(response.headers);
  for (const [name, value] of HEADERS) headers.set(name, value);
  if (!headers.get('content-type')?.startsWith('text/html')) {
    headers.set('cache-control', headers.get('cache-control') ?? 'no-store');
    return new Response(response.body, { status: response.status, headers });
  }
  const html = await response.text();
  headers.set('content-security-policy', policyFor(html));
  headers.set('cache-control', 'no-store');
  return new Response(html, { status: response.status, headers });
}

function policyFor(html: string): string {
  const scripts = [...html.matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, text]) => text,
  );
  const hashes = scripts.map((text) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`);
  return [
    "default-src 'none'",
    `script-src 'self' ${[...new Set(hashes)].join(' ')}`,
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
