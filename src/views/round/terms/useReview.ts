import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import { useAnswer } from '../../shared/useAnswer';
import type { AccountInfo } from '../../../contract/api';
import type { Arranged, ArrangeRequest } from '../../../plans/terms';
import { reviewLoad } from './reviewLoad';
import { pageReview } from '../../shared/reviewEngine/pageReview';

/** The search terms of a window, loaded into the worker. */
export function useReview(
  account: AccountInfo | undefined,
  from: string | null,
  to: string | null,
  isWanted: boolean,
) {
  const engine = pageReview();
  const { data, error, onGone } = useWorkerLoad(
    reviewLoad(account, from, to),
    isWanted && account !== undefined,
  );
  return { engine, review: data, error, onGone };
}

export type ReviewState = ReturnType<typeof useReview>;

/** The rows asked for. `isCurrent` is false while the worker is at a newer request. */
export function useArranged(
  { engine, review, onGone }: ReviewState,
  request: ArrangeRequest,
): { arranged: Arranged | null; isCurrent: boolean; error: Error | null } {
  const { answer, isCurrent, error } = useAnswer<ArrangeRequest, Arranged>(
    review?.loadId,
    request,
    (id, asked) => engine.arrange(id, asked),
    onGone,
  );
  return { arranged: answer, isCurrent, error };
}
