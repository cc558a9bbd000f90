export { KINDS, kindsThat } from './kinds';
export type { Change, ChangeKind } from './kinds';
export type {
  Accepted,
  ChangedPlace,
  FieldShape,
  SetEntity,
  SetValue,
  Stop,
  Touch,
  Values,
} from './kinds/spec';
export { NOTHING_MADE } from './named';
export type { Made, Named } from './named';
export type { AddNegative } from './kinds/addNegative';
export { USUAL_AD_GROUP } from './kinds/addAdGroup';
export { FLEXES, PACINGS, SIMILAR, USUAL_CAMPAIGN } from './kinds/campaignFields';
export type { CampaignFields } from './kinds/campaignFields';
export type { Pausable } from './kinds/setState';
export {
  acceptedOf,
  blockOf,
  changeKey,
  checkChange,
  describeChange,
  entitiesOf,
  fromPresent,
  goesInto,
  groupOf,
  inDecimals,
  inverseOf,
  isChangedSince,
  isMaking,
  isReplaced,
  presentOf,
  movesOf,
  setValueOf,
  shownBy,
  purposeOf,
  stopOf,
  toMarket,
  touchOf,
  withValue,
} from './change';
export type { ChangeState } from './change';
export { CHANGE_PURPOSES } from './purposes';
export { partWaiting } from './waits';
export { stoodBefore } from './stood';
export type { AcceptedChange, Stood } from './stood';
export type { ChangePurpose } from './purposes';
export { isRunning, standingOf } from './standing';
export type {
  AdGroupNow,
  AdNow,
  CampaignNow,
  Entities,
  NegativeNow,
  ScheduleNow,
  Standing,
  TargetNow,
} from './standing';
export type { MarketAct, MarketChange, MarketFields, MarketIds, OwnKind } from './towardsMarket';
export { moveByHand, nudged } from './byHand';
export type { AcosBands, HandStep, HandValue, MovedValue, ValueLimits } from './byHand';
export {
  checkBid,
  checkBudget,
  checkDates,
  checkModifier,
  checkRefinement,
  checkWords,
  MAX_MODIFIER,
  USUAL_LIMITS,
  usualLimits,
  withoutRefused,
} from './limits';
export type { Finding, MarketLimits } from './limits';
export {
  checkPicture,
  checkPictureCount,
  checkTitles,
  combinationsOf,
  partsText,
  PICTURE_TYPES,
  readParts,
} from './adParts';
export type { AdParts, AdRules, PictureFile } from './adParts';
export { sumExpected } from './effect';
export type { Effect } from './effect';
export { findConflicts } from './conflicts';
export type { Conflict, StagedChange, WayOut } from './conflicts';
export { judgeCarried } from './carried';
export type { Said, Verdict } from './carried';
export { readBack } from './readBack';
export type { FileLine, ReadBack } from './readBack';
