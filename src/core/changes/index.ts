export { moveByHand } from './byHand';
export type { AcosBands, HandStep, HandValue, MovedValue, ValueLimits } from './byHand';
export { changeKey, describeChange, PLACEMENT_LABELS } from './change';
export type { Change, ChangeKind, ChangeState, Pausable, Placement } from './change';
export { entitiesOf } from './entitiesOf';
export type { Named } from './entitiesOf';
export {
  checkBid,
  checkBudget,
  checkChange,
  checkModifier,
  checkWords,
  MAX_MODIFIER,
  USUAL_LIMITS,
  withoutRefused,
} from './limits';
export type { Finding, MarketLimits } from './limits';
export { sumEffects } from './effect';
export type { Effect } from './effect';
export { inverseOf } from './inverse';
export type { Made } from './inverse';
export { findConflicts } from './conflicts';
export type { Conflict, StagedChange, WayOut } from './conflicts';
export { fromPresent, isChangedSince, setValueOf, withValue } from './value';
export type { SetValue } from './value';
export { readBack } from './readBack';
export type { FileLine, ReadBack } from './readBack';
