import type { AccountInfo } from '../../../contract/api';
import { pendingKeys, reviewSettings } from '../../../plans/terms';
import type { LoadedReview } from '../../../plans/terms';
import { pageReview } from '../../shared/reviewEngine/pageReview';
import type { AheadLoad } from '../../shared/worker/workerLoad';
import type { Decided } from '../decided';
import type { RoundView } from '../roundView';
import { reviewLoad } from './reviewLoad';
import { termsAsked, withoutDecided } from './termsAsked';

/** The search terms of a window, and the rows of a step of them. */
export function termsAhead(
  account: AccountInfo,
  view: RoundView,
  step: string,
  decided: Decided | null,
): AheadLoad<LoadedReview> {
  const load = reviewLoad(account, view.from, view.to);
  if (!decided) return load;
  const settings = { ...reviewSettings(account.choices.terms, account.targetAcos), ...view.linked };
  const question = withoutDecided(
    termsAsked(step, view, settings),
    pendingKeys(decided.pending),
    decided.asideIn,
  );
  return { ...load, first: [{ question, ask: ({ loadId }) => pageReview().arrange(loadId, question) }] };
}
