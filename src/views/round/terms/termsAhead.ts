import { pendingKeys, reviewSettings } from '../../../plans/terms';
import type { LoadedReview } from '../../../plans/terms';
import { pageReview } from '../../shared/reviewEngine/pageReview';
import type { StepAhead } from '../decided';
import { reviewLoad } from './reviewLoad';
import { termsAsked, withoutDecided } from './termsAsked';

/** The search terms of a window, and the rows of a step of them. */
export const termsAhead: StepAhead<LoadedReview> = (account, view, step, decided) => {
  const load = reviewLoad(account, view.from, view.to);
  if (!decided) return load;
  const settings = { ...reviewSettings(account.choices.terms, account.targetAcos), ...view.linked };
  const question = withoutDecided(
    termsAsked(step, view, settings),
    pendingKeys(decided.pending),
    decided.asideIn,
  );
  return { ...load, first: [{ question, ask: ({ loadId }) => pageReview().arrange(loadId, question) }] };
};
