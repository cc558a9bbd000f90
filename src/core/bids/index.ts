export { aimBids } from './aimBids';
export type { AimedBids } from './aimBids';
export { decideBids, proposeBids, stepBids, withTargets } from './proposeBids';
export { cpcAt, monthAt } from './proposal';
export { monthAtBid } from './freed';
export { CPC_ELASTICITY, raiseOf } from './exposures';
export { testRoom } from './testRoom';
export type { TestRoom } from './testRoom';
export { campaignPlans } from './modifiers';
export type { CampaignPlan } from './modifiers';
export type { FactorRatio, PlacementFactors } from './placementFactors';
export { prepareBids } from './prepareBids';
export { spendCurves } from './spendCurves';
export type { SpendCurves } from './spendCurves';
export { withAhead } from './ahead';
export type { Ahead } from './ahead';
export type { PreparedBids } from './prepareBids';
export type { BidPlan } from './proposeBids';
export type { BidProposal, BidStep, Left, Month, SinceChange, TestWorth } from './proposal';
export { PRICE_TARGETS } from './priceRule';
export { learntPerCost } from './testing';
export { bidReason } from './reason';
export type { ReasonContext } from './reason';
export { HISTORY_DAYS, PACES, USUAL_SETTINGS } from './observations';
export type {
  AimSettings,
  BidCampaign,
  BidObservations,
  BidProduct,
  BidScope,
  BidSettings,
  BidTarget,
  BroughtAlong,
  EarlierModifiers,
  Pace,
  PlacementDays,
  StepLimits,
  TargetDays,
} from './observations';
export { observationsOf } from './observationsOf';
export type { SummedAges } from './spread';
export type { AccountObservations, BidFeed } from './observationsOf';
export { settingsOf, USUAL_CHOICES } from './choices';
export type { BidChoices, TestCap } from './choices';
export { boughtBy, outcomeOf } from './tested';
export type { Bought, Tested, TestOutcome } from './tested';
export { movedOf, withMoved } from './movedColumns';
export type { MovedColumns } from './movedColumns';
export { BID_STEPS, leftOf, monthAfter, monthNow, proposalAt, testAt } from './proposalColumns';
export type { ProposalColumns } from './proposalColumns';
export { planByRows, planColumns, reasonContext } from './planColumns';
export type { PlanColumns, PlanFacts, TargetPlan } from './planColumns';
export { effectAtBid, MonthSum, stakeOf } from './stake';
export type { MonthTotal } from './stake';
