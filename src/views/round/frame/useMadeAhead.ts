import { useEffect, useRef } from 'react';

/** The page is held up for so long at a time, and has so long for other things in between, ms. */
const [SLICE_MS, PAUSE_MS] = [8, 4];

/**
 * What the rows of a question come to, made bit by bit while the question is read: when it is agreed to, thousands are there already.
 * @param rows those asked about; null while nothing is asked @param make what a row comes to; the same function while it makes the same
 * @returns the same as `make`
 */
export function useMadeAhead<T>(
  rows: readonly number[] | null,
  make: (row: number) => T,
): (row: number) => T {
  const held = useRef<{ by: typeof make; made: Map<number, T> } | null>(null);
  useEffect(() => {
    if (!rows) return;
    const made = new Map<number, T>();
    held.current = { by: make, made };
    let at = 0;
    let timer = setTimeout(function some() {
      const until = performance.now() + SLICE_MS;
      while (at < rows.length && performance.now() < until) {
        made.set(rows[at], make(rows[at]));
        at += 1;
      }
      if (at < rows.length) timer = setTimeout(some, PAUSE_MS);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      held.current = null;
    };
  }, [rows, make]);
  return (row) => {
    const made = held.current?.by === make ? held.current.made : null;
    return made?.has(row) ? made.get(row)! : make(row);
  };
}
