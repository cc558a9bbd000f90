import { defineMiddleware } from 'astro:middleware';
import { errorResponse, nothingThere } from './server/http/endpoint';
import { guardRequest } from './server/http/guard';
import { noteRequest } from './server/metrics/metrics';
import { secure } from './server/http/secureHeaders';
import { log } from './server/context/context';
import { isClosed } from './server/people/openness';
import { visitorOf } from './server/people/visitor';
import type { Visitor } from './server/people/visitor';

/** Pages for whoever has not signed in: the door itself, and what was shared with somebody outside. */
const OPEN = /^\/(sign-in|welcome|shared\/[^/]*|404|500)\/?$/;

export const onRequest = defineMiddleware(async ({ request, url, locals, redirect, routePattern }, next) => {
  const startedAt = performance.now();
  let asked: Promise<Visitor | null> | undefined;
  locals.visitor = () => (asked ??= visitorOf(request.headers));
  const isApi = url.pathname.startsWith('/api/');
  let response: Response;
  try {
    guardRequest(request);
    const elsewhere = isApi ? null : await atTheDoor(locals.visitor, url);
    response = elsewhere === null ? await next() : redirect(elsewhere);
    if (isApi && isPage(response)) response = nothingThere(request.method, url.pathname);
  } catch (error) {
    response = errorResponse(error, url.pathname);
  }
  const ms = performance.now() - startedAt;
  if (isApi) noteRequest(routePattern, request.method, response.status, ms / 1000);
  if (isApi && !url.pathname.startsWith('/api/health')) {
    const visitor = await asked?.catch(() => null);
    log().info(
      {
        method: request.method,
        path: url.pathname,
        status: response.status,
        ms: Math.round(ms),
        ...(visitor?.person && { person: visitor.person.id }),
      },
      'request',
    );
  }
  return secure(response, locals.from?.isSecure);
});

/**
 * Where whoever asks for a page is led instead; null: the page is hers to see. While the database does not answer nobody is known: the
 * page comes without a figure in it, and says so.
 */
async function atTheDoor(visitor: () => Promise<Visitor | null>, url: URL): Promise<string | null> {
  const isOpen = OPEN.test(url.pathname);
  try {
    if (url.pathname.startsWith('/sign-in')) return !(await isClosed()) || (await visitor()) ? '/' : null;
    if (isOpen) return null;
    if ((await visitor()) !== null) return null;
    return `/sign-in?to=${encodeURIComponent(url.pathname + url.search)}`;
  } catch (error) {
    log().error({ err: error }, 'nobody is known now');
    return null;
  }
}

/** A script that asks for what is not there is told so in its own language, not by a page. */
const isPage = (response: Response) => response.headers.get('content-type')?.startsWith('text/html') === true;
