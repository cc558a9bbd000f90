export { gainOf, harvestOf, proposeHarvests, suggestionKey } from './proposeHarvests';
export type { HarvestProposal } from './proposeHarvests';
export type { HarvestSettings } from './harvestSettings';
export { harvestReason } from './harvestReason';
export { harvestGain } from './harvestGain';
export type { GainFigures, HarvestGain } from './harvestGain';
export { costOfBid, startingBid } from './startingBid';
export type { StartFigures, StartingBid } from './startingBid';
