import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { useAnswer } from '../../shared/useAnswer';
import type { AccountInfo } from '../../../contract/api';
import { pageWorker } from '../../shared/worker/pageWorker';
import type { Arranged, ArrangeRequest, LoadedReview } from '../../../plans/terms';
import type { ReviewEngine } from './worker/reviewEngine';

let engine: Remote<ReviewEngine> | null = null;

/** The page's one engine of reviews: its worker keeps the window's columns. */
function pageReview(): Remote<ReviewEngine> {
  engine ??= pageWorker<ReviewEngine>(
    () => new Worker(new URL('./worker/review.worker.ts', import.meta.url), { type: 'module' }),
  );
  return engine;
}

/** The search terms of a window, loaded into the worker. */
export function useReview(account: AccountInfo | undefined, from: string | null, to: string | null) {
  const engine = pageReview();
  const { data, error } = useQuery<LoadedReview, Error>({
    queryKey: ['review', account?.id, account?.revision, from, to],
    queryFn: () => engine.load(account!.id, from ?? undefined, to ?? undefined),
    enabled: account !== undefined,
    staleTime: Infinity,
    // The worker holds one window. A window that is left is loaded anew: a kept copy would not be the worker's.
    gcTime: 0,
    meta: { inWorker: true },
    refetchOnWindowFocus: false,
  });
  return { engine, review: data, error };
}

export type ReviewState = ReturnType<typeof useReview>;

/** The rows asked for. `isCurrent` is false while the worker is at a newer request. */
export function useArranged(
  { engine, review }: ReviewState,
  request: ArrangeRequest,
): { arranged: Arranged | null; isCurrent: boolean; error: Error | null } {
  const { answer, isCurrent, error } = useAnswer<ArrangeRequest, Arranged>(
    review?.loadId,
    request,
    (id, asked) => engine.arrange(id, asked),
  );
  return { arranged: answer, isCurrent, error };
}
