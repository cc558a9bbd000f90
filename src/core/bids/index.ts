export { decideBids, monthAt, proposeBids, withTargets } from './proposeBids';
export { prepareBids } from './prepareBids';
export type { PreparedBids } from './prepareBids';
export type { BidPlan, BidProposal, BidStep, Left, Month } from './proposeBids';
export { bidReason } from './reason';
export type { ReasonContext } from './reason';
export { HISTORY_DAYS, PACES, USUAL_SETTINGS } from './observations';
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
export { observationsOf } from './observationsOf';
export type { AccountObservations, BidFeed } from './observationsOf';
export { settingsOf, USUAL_CHOICES } from './choices';
export type { BidChoices } from './choices';
export { BID_STEPS, monthNow, planColumns, proposalAt, reasonContext } from './planColumns';
export type { PlanColumns } from './planColumns';
export { effectAtBid, MonthSum, stakeOf } from './stake';
export type { MonthTotal } from './stake';
