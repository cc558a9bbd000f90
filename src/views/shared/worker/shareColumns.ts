type Column = Float64Array<ArrayBufferLike> | Int32Array<ArrayBufferLike> | Uint8Array<ArrayBufferLike>;

/** Shorter columns travel as they are. */
const LEAST = 1000;
/** A list of so many is data of its own, not a few sets of columns. */
const MOST_SETS = 20;

const isColumn = (value: unknown): value is Column =>
  value instanceof Float64Array || value instanceof Int32Array || value instanceof Uint8Array;

function inShared<C extends Column>(column: C): C {
  const Kind = column.constructor as new (buffer: SharedArrayBuffer) => C;
  const shared = new Kind(new SharedArrayBuffer(column.byteLength));
  shared.set(column);
  return shared;
}

/**
 * Moves the columns of an answer, and of what stands in it, to memory that a worker and its page share: they are there once, and
 * handed over at once. Nobody writes into them after that.
 */
export function shareColumns(value: object): void {
  for (const [key, part] of Object.entries(value) as [string, unknown][]) {
    if (isColumn(part)) {
      if (part.length >= LEAST && part.buffer instanceof ArrayBuffer)
        (value as Record<string, unknown>)[key] = inShared(part);
    } else if (typeof part === 'object' && part !== null && !(Array.isArray(part) && part.length > MOST_SETS))
      shareColumns(part);
  }
}
