export { keptBids, rowStake } from './keptBids';
export type { KeptBids, TargetTrial } from './keptBids';
export { arrangeBids } from './arrangeBids';
export { actOf, sumActs } from './bidEdits';
export type { BidAct, BidEdit, BidEdits, BidSummary } from './bidEdits';
export { reasonOf, toBidChange } from './toBidChanges';
export { summaryWords } from './summaryWords';
export { pendingTargets } from './pending';
export type { ArrangedBids, BidsAsked, BidSort, BidStepSummary } from './types';
