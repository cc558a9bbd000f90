export { proposePlacements } from './proposePlacements';
export type { PlacementAt, PlacementLeft, PlacementProposal } from './proposal';
export { basesFor, monthUnder } from './effect';
export { modifierBy } from './byHand';
export type { ModifierWay } from './byHand';
export { unlikeGroups } from './groupFactors';
export type { UnlikeGroup } from './groupFactors';
export { placementReason } from './reason';
