export { harvestOf, proposeHarvests } from './proposeHarvests';
export type { HarvestProposal, HarvestSettings } from './proposeHarvests';
export { harvestReason } from './harvestReason';
export { CPC_CAP, startingBid } from './startingBid';
export type { StartingBid } from './startingBid';
