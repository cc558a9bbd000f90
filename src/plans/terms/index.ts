export { toTermTable } from './toTermTable';
export { askSuggestions, heldReview } from './heldReview';
export type { HeldReview, SuggestionAsked } from './heldReview';
export { joinChanges, toChanges } from './toChanges';
export { reviewSettings } from './settings';
export { pendingKeys } from './pending';
export { rowKey } from './types';
export type {
  Arranged,
  ArrangeRequest,
  Estimates,
  LoadedReview,
  Proposal,
  ReviewSettings,
  RowDetail,
  Show,
  StepSummary,
} from './types';
