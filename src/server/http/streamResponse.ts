import { AsyncLocalStorage } from 'node:async_hooks';
import type { ServerResponse } from 'node:http';

// Kept on the process: the pages' build and the program around it are two bundles, and must share it.
const KEY = Symbol.for('mowing.response');
const keeper = globalThis as unknown as Record<symbol, AsyncLocalStorage<ServerResponse> | undefined>;
const current = (keeper[KEY] ??= new AsyncLocalStorage<ServerResponse>());

/** Runs the handling of a request so that `streamResponse` knows the connection it will be written to. */
export function withResponse<T>(response: ServerResponse, handle: () => T): T {
  return current.run(response, handle);
}

/**
 * A file that is written while it is made, as fast as its reader takes it: the framework writes a body without waiting,
 * so the next piece is made only when the connection has room. A reader who leaves ends the making.
 */
export function streamResponse({
  name,
  type,
  body,
}: {
  name: string;
  type: string;
  body: AsyncIterable<Uint8Array>;
}): Response {
  const response = current.getStore();
  const parts = body[Symbol.asyncIterator]();
  const stream = new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        if (response?.writableNeedDrain)
          await new Promise<void>((resolve) => {
            response.once('drain', resolve);
            response.once('close', resolve);
          });
        if (response?.destroyed) {
          await parts.return?.();
          return controller.close();
        }
        const next = await parts.next();
        if (next.done) controller.close();
        else controller.enqueue(next.value);
      },
      async cancel() {
        await parts.return?.();
      },
    },
    { highWaterMark: 0 },
  );
  return new Response(stream, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });
}
