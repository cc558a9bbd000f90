export { proposeBids } from './proposeBids';
export type { BidPlan, BidProposal, BidStep, Left, Month } from './proposeBids';
export { bidReason } from './reason';
export { PACES, USUAL_SETTINGS } from './observations';
export type {
  BidCampaign,
  BidObservations,
  BidProduct,
  BidSettings,
  BidTarget,
  Pace,
  PlacementDays,
  StepLimits,
  TargetDays,
} from './observations';
export { fitStrength } from './priors';
