export { NEGATIVE_SCOPES, placesOf } from './scope';
export type { NegativePlace, NegativeScope } from './scope';
export { chanceToPay, negativeOf, proposeNegatives, spendPerMonth } from './proposeNegatives';
export type { NegativeProposal, NegativeSettings } from './proposeNegatives';
export { neededConversion, negativeReason } from './negativeReason';
