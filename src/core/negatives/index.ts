export { listScope, listOfScope, NEGATIVE_SCOPES, placesByScope, placesOf, stoppedBy } from './scope';
export type { BlockScope, NegativeList, NegativePlace, NegativeScope, Stopped } from './scope';
export { listStanding } from './listStanding';
export type { ListPlace, ListStanding } from './listStanding';
export { chanceToPay, negativeOf, proposeNegatives, spendPerMonth } from './proposeNegatives';
export type { NegativeProposal, NegativeSettings } from './proposeNegatives';
export { neededConversion, negativeReason } from './negativeReason';
