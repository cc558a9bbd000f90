/** The bytes of a request as they come; none where it has no body. */
export const bodyOf = (request: Request): AsyncIterable<Uint8Array> =>
  (request.body ?? []) as AsyncIterable<Uint8Array>;
