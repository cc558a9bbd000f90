import { defineMiddleware } from 'astro:middleware';
import { errorResponse, nothingThere } from './server/http/endpoint';
import { guardRequest } from './server/http/guard';
import { secure } from './server/http/secureHeaders';
import { log } from './server/context/context';

export const onRequest = defineMiddleware(async ({ request, url }, next) => {
  const startedAt = performance.now();
  let response: Response;
  try {
    guardRequest(request);
    response = await next();
    if (url.pathname.startsWith('/api/') && isPage(response))
      response = nothingThere(request.method, url.pathname);
  } catch (error) {
    response = errorResponse(error, url.pathname);
  }
  if (url.pathname.startsWith('/api/') && url.pathname !== '/api/health')
    log().info(
      {
        method: request.method,
        path: url.pathname,
        status: response.status,
        ms: Math.round(performance.now() - startedAt),
      },
      'request',
    );
  return secure(response);
});

/** A script that asks for what is not there is told so in its own language, not by a page. */
const isPage = (response: Response) => response.headers.get('content-type')?.startsWith('text/html') === true;
