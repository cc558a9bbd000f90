import { useEffect, useState } from 'react';
import { answeredAhead } from './worker/workerLoad';

interface Held<A> {
  answer: A | null;
  key: string;
  loadId: number;
  error: Error | null;
}

/**
 * What a worker answers to a request about what it has loaded. `isCurrent` is false while it is at a newer request; an
 * answer that belongs to another load is none: row numbers mean something in the table only that they were made from.
 * @param loadId undefined: nothing is loaded yet
 * @param request compared by value, so that equal requests are not asked again
 * @param onGone the worker has let the load go
 */
export function useAnswer<R, A extends { loadId: number }>(
  loadId: number | undefined,
  request: R,
  ask: (loadId: number, request: R) => Promise<A | null>,
  onGone?: () => void,
): { answer: A | null; isCurrent: boolean; error: Error | null } {
  const [held, setHeld] = useState<Held<A> | null>(null);
  const key = JSON.stringify(request);
  useEffect(() => {
    if (loadId === undefined) return;
    const known = answeredAhead<A>(loadId, key);
    if (known) return setHeld((old) => old && { answer: known, key, loadId, error: null });
    let isStale = false;
    ask(loadId, JSON.parse(key) as R).then(
      (answer) => {
        if (isStale) return;
        if (answer) setHeld({ answer, key, loadId, error: null });
        else onGone?.();
      },
      (error: Error) => !isStale && setHeld((old) => ({ answer: old?.answer ?? null, key, loadId, error })),
    );
    return () => {
      isStale = true;
    };
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- `ask` does the same whenever it was made
  }, [loadId, key]);
  if (!held || held.loadId !== loadId) {
    const known = answeredAhead<A>(loadId, key);
    return { answer: known ?? null, isCurrent: known !== undefined, error: null };
  }
  const answer = held.answer?.loadId === loadId ? held.answer : null;
  return { answer, isCurrent: held.key === key && held.error === null, error: held.error };
}
