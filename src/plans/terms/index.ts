export { toTermTable } from './toTermTable';
export { askSuggestions, keptReview } from './keptReview';
export type { KeptReview, Suggested, SuggestionAsked } from './keptReview';
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
