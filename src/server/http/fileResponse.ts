/** An answer that the browser saves as a file. */
export function fileResponse(text: string, name: string, type: string): Response {
  return new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}
