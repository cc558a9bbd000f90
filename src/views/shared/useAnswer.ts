import { useEffect, useState } from 'react';

/**
 * What a worker answers to a request about what it has loaded. `isCurrent` is false while it is at a newer request; an
 * answer that belongs to another load is none: row numbers mean something in the table only that they were made from.
 * @param loadId undefined: nothing is loaded yet
 * @param request compared by value, so that equal requests are not asked again
 */
export function useAnswer<R, A extends { loadId: number }>(
  loadId: number | undefined,
  request: R,
  ask: (loadId: number, request: R) => Promise<A | null>,
): { answer: A | null; isCurrent: boolean } {
  const [held, setHeld] = useState<{ answer: A; key: string } | null>(null);
  const key = JSON.stringify(request);
  useEffect(() => {
    if (loadId === undefined) return;
    let isStale = false;
    void ask(loadId, JSON.parse(key) as R).then((answer) => {
      if (!isStale && answer) setHeld({ answer, key });
    });
    return () => {
      isStale = true;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `ask` does the same whenever it was made
  }, [loadId, key]);
  if (!held || held.answer.loadId !== loadId) return { answer: null, isCurrent: false };
  return { answer: held.answer, isCurrent: held.key === key };
}
