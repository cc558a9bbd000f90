export { negativeOf, proposeNegatives, spendPerMonth } from './proposeNegatives';
export type { NegativeProposal, NegativeSettings } from './proposeNegatives';
export { chanceOnTarget, neededConversion, negativeReason } from './negativeReason';
