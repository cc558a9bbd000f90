/** A page that stands by itself. @param name under which it is saved; left out: it is shown */
export const pageResponse = (html: string, name?: string): Response =>
  new Response(html, {
    headers: {
      'content-type': 'text/html; charset=utf-8',
      ...(name !== undefined && { 'content-disposition': `attachment; filename="${name}"` }),
    },
  });
