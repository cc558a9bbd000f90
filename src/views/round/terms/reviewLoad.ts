import type { AccountInfo } from '../../../contract/api';
import type { LoadedReview } from '../../../plans/terms';
import { pageReview } from '../../shared/reviewEngine/pageReview';
import type { WorkerLoad } from '../../shared/worker/workerLoad';

/** The search terms of a window. */
export const reviewLoad = (
  account: AccountInfo | undefined,
  from: string | null,
  to: string | null,
): WorkerLoad<LoadedReview> => ({
  key: ['review', account?.id, account?.revision, from, to],
  load: () => pageReview().load(account!.id, from ?? undefined, to ?? undefined),
});
