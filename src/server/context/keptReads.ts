import { forAll } from './reading';

/** Results of large questions are kept up to so many bytes; the one asked for longest ago goes first. */
const MOST_BYTES = 384 * 1024 * 1024;

interface Kept {
  stamp: string;
  made: Promise<unknown>;
  bytes: number;
}

// Kept on the process: the pages' build and the program around it are two bundles, and must share it.
const KEY = Symbol.for('mowing.kept');
const keeper = globalThis as unknown as Record<symbol, Map<string, Kept> | undefined>;
const kept = (keeper[KEY] ??= new Map<string, Kept>());

/**
 * The result of a large question, from memory while its stamp stays the same: several who ask at once wait for one answer.
 * @param stamp of the state that the result hangs on, read before: what is newer than its stamp is asked for again too early, never too late
 */
export function keptRead<T>(key: string, stamp: string, make: () => Promise<T>): Promise<T> {
  const known = kept.get(key);
  kept.delete(key);
  if (known?.stamp === stamp) {
    kept.set(key, known);
    return known.made as Promise<T>;
  }
  const made = forAll(make);
  const own: Kept = { stamp, made, bytes: 0 };
  kept.set(key, own);
  made.then(
    (value) => {
      own.bytes = bytesOf(value);
      letGo();
    },
    () => kept.get(key) === own && kept.delete(key), // a failure is not kept
  );
  return made;
}

/** Days, as part of a key. */
export const spanKey = ({ from, to }: { from: string; to: string }): string => `${from}..${to}`;

function letGo(): void {
  let bytes = 0;
  for (const one of kept.values()) bytes += one.bytes;
  for (const [key, one] of kept) {
    if (bytes <= MOST_BYTES || kept.size === 1) return;
    bytes -= one.bytes;
    kept.delete(key);
  }
}

/** About how much memory a result takes. */
function bytesOf(value: unknown): number {
  if (ArrayBuffer.isView(value) || value instanceof ArrayBuffer) return value.byteLength;
  if (typeof value === 'string') return 2 * value.length;
  if (value === null || typeof value !== 'object') return 8;
  // Lists are alike from end to end: their first entries tell.
  if (Array.isArray(value)) {
    const some = value.slice(0, 50);
    return some.length === 0
      ? 16
      : (value.length * some.reduce<number>((sum, one) => sum + 16 + bytesOf(one), 0)) / some.length;
  }
  return Object.values(value).reduce<number>((sum, one) => sum + 16 + bytesOf(one), 0);
}
