export { boundsBy } from './bounds';
export { placementProposals, planPlacements } from './keptPlacements';
export { placementAct, placementStake } from './placementActs';
export { toPlacementChanges } from './toPlacementChanges';
export type { BidToMove } from './toPlacementChanges';
export { placementChanges } from './placementChanges';
export type { PlacementChangesAsked } from './placementChanges';
export { placementSettings } from './settings';
export { pendingPlacements, stagedBids } from './pending';
export type {
  PlacementAct,
  PlacementEdit,
  PlacementEdits,
  PlacementFact,
  PlacementPlan,
  PlacementProposals,
  PlacementRow,
  PlacementsAsked,
} from './types';
