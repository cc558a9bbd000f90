import { useLayoutEffect, useMemo, useRef } from 'react';

type Acts = Record<string, (...given: never[]) => unknown>;

/**
 * The same functions at every drawing, which do what the newest ones do: whoever is handed them is not drawn anew because of them. For
 * what happens later (a click, a key), never for what is read while drawing.
 * @param acts the same names at each call
 */
export function useSteady<T extends Acts>(acts: T): T {
  const newest = useRef(acts);
  useLayoutEffect(() => {
    newest.current = acts;
  });
  return useMemo(() => {
    const steady =
      (name: string) =>
      (...given: never[]) =>
        newest.current[name](...given);
    return Object.fromEntries(Object.keys(newest.current).map((name) => [name, steady(name)])) as T;
  }, []);
}
