/** The content type of packed answers: asked for by "accept". */
export const PACKED_TYPE = 'application/vnd.mowing.columns';

type Column = Int32Array | Float64Array | Uint8Array;
const KINDS = { int: Int32Array, float: Float64Array, byte: Uint8Array } as const;

/** Where a column of numbers stands in the answer, and what it is. */
interface Described {
  path: string[];
  kind: keyof typeof KINDS;
  count: number;
}

/** What the bytes begin with: how long the text is. */
const LENGTH_BYTES = 4;
const ALIGN = 8;
const aligned = (at: number) => Math.ceil(at / ALIGN) * ALIGN;

const isColumn = (value: unknown): value is Column =>
  value instanceof Int32Array || value instanceof Float64Array || value instanceof Uint8Array;

const kindOf = (column: Column): keyof typeof KINDS =>
  column instanceof Int32Array ? 'int' : column instanceof Float64Array ? 'float' : 'byte';

/** The columns of a value: in its objects, at any depth. Lists are not looked through. */
function columnsIn(value: unknown, path: string[] = []): { path: string[]; column: Column }[] {
  if (isColumn(value)) return [{ path, column: value }];
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return [];
  return Object.entries(value).flatMap(([name, part]) => columnsIn(part, [...path, name]));
}

/** The same without its columns. A replacer of JSON would be asked about every entry of every list. */
function besidesColumns(value: unknown): unknown {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([name, part]): [string, unknown][] =>
      isColumn(part) ? [] : [[name, besidesColumns(part)]],
    ),
  );
}

/**
 * Writes an answer as bytes: all of it but its columns of numbers as JSON, then each column as it lies in memory. Nothing is printed and
 * nothing has to be read figure by figure.
 */
export function pack(value: object): Uint8Array<ArrayBuffer> {
  const columns = columnsIn(value);
  const described = columns.map(({ path, column }): Described => ({
    path,
    kind: kindOf(column),
    count: column.length,
  }));
  const rest = JSON.stringify([besidesColumns(value), described]);
  const text = new TextEncoder().encode(rest);
  let size = aligned(LENGTH_BYTES + text.length);
  for (const { column } of columns) size = aligned(size + column.byteLength);
  const out = new Uint8Array(size);
  new DataView(out.buffer).setUint32(0, text.length, true);
  out.set(text, LENGTH_BYTES);
  let at = aligned(LENGTH_BYTES + text.length);
  for (const { column } of columns) {
    out.set(new Uint8Array(column.buffer, column.byteOffset, column.byteLength), at);
    at = aligned(at + column.byteLength);
  }
  return out;
}

/** Reads a packed answer; its columns are views of the bytes. @throws RangeError for bytes that break off */
export function unpack<T>(bytes: ArrayBuffer): T {
  const length = new DataView(bytes).getUint32(0, true);
  const text = new TextDecoder().decode(new Uint8Array(bytes, LENGTH_BYTES, length));
  const [value, described] = JSON.parse(text) as [Record<string, unknown>, Described[]];
  let at = aligned(LENGTH_BYTES + length);
  for (const { path, kind, count } of described) {
    const column = new KINDS[kind](bytes, at, count);
    let into = value;
    for (const name of path.slice(0, -1)) into = into[name] as Record<string, unknown>;
    into[path.at(-1)!] = column;
    at = aligned(at + column.byteLength);
  }
  return value as T;
}

/** An answer as JSON tells it: columns of numbers are lists. */
export type AsJson<T> =
  T extends ArrayLike<number>
    ? number[]
    : T extends readonly (infer U)[]
      ? AsJson<U>[]
      : T extends object
        ? { [K in keyof T]: AsJson<T[K]> }
        : T;

/** The same answer as JSON, for whoever asks for no columns. */
export const asJson = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) => (isColumn(part) ? Array.from(part) : part));
