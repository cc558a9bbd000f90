import { useQuery } from '@tanstack/react-query';
import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Arranged, ArrangeRequest, LoadedReview } from './worker/types';
import type { ReviewEngine } from './worker/reviewEngine';

/** One worker for the page: it keeps the window's columns. */
function startEngine(): Remote<ReviewEngine> {
  return wrap<ReviewEngine>(
    new Worker(new URL('./worker/review.worker.ts', import.meta.url), { type: 'module' }),
  );
}

/** The search terms of a window, loaded into the worker. */
export function useReview(account: number | undefined, from: string | null, to: string | null) {
  const [engine] = useState(startEngine);
  const { data, error } = useQuery<LoadedReview, Error>({
    queryKey: ['review', account, from, to],
    queryFn: () => engine.load(account!, from ?? undefined, to ?? undefined),
    enabled: account !== undefined,
    staleTime: Infinity,
    // The worker holds one window. A window that is left is loaded anew: a kept copy would not be the worker's.
    gcTime: 0,
    refetchOnWindowFocus: false,
  });
  return { engine, review: data, error };
}

export type ReviewState = ReturnType<typeof useReview>;

/** The rows asked for. `isCurrent` is false while the worker is at a newer request. */
export function useArranged(
  { engine, review }: ReviewState,
  request: ArrangeRequest,
): { arranged: Arranged | null; isCurrent: boolean } {
  const [answer, setAnswer] = useState<{ arranged: Arranged; key: string } | null>(null);
  // The request is data: compared by value, so that equal requests are not answered again.
  const key = JSON.stringify(request);
  const loadId = review?.loadId;
  useEffect(() => {
    if (loadId === undefined) return;
    let isStale = false;
    void engine.arrange(loadId, JSON.parse(key) as ArrangeRequest).then((arranged) => {
      if (!isStale && arranged) setAnswer({ arranged, key });
    });
    return () => {
      isStale = true;
    };
  }, [engine, loadId, key]);
  // Row numbers mean something in the table only that they were arranged from.
  if (!answer || answer.arranged.loadId !== loadId) return { arranged: null, isCurrent: false };
  return { arranged: answer.arranged, isCurrent: answer.key === key };
}
