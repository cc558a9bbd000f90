export { reachOfList, listOfReach, NEGATIVE_REACHES, placesByReach, placesOf, stoppedBy } from './reach';
export type { BlockReach, NegativeList, NegativePlace, NegativeReach, Stopped } from './reach';
export { listStanding } from './listStanding';
export type { ListPlace, ListStanding } from './listStanding';
export {
  USUAL_BLOCK_ASKS,
  chanceToPay,
  negativeOf,
  proposeNegatives,
  spendPerMonth,
} from './proposeNegatives';
export type { BlockAsks, NegativeProposal, NegativeSettings } from './proposeNegatives';
export { negativeReason } from './negativeReason';
export { bidMatter } from './bidMatter';
export type { BidMatter } from './bidMatter';
