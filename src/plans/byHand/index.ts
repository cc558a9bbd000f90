export { limitsOf, newChange, planMove, planState } from './handChanges';
export type { HandPlan } from './handChanges';
export {
  canBeSet,
  COOL_DOWN_DAYS,
  isRecent,
  stagedOf,
  stagedValue,
  stateChange,
  valueChange,
} from './staged';
export type { Staged } from './staged';
export { USUAL_BANDS } from './bands';
export { planSettings } from './settings';
export type { Settings, SettingsPlan } from './settings';
export { planByConditions, readConditions } from './byConditions';
export type { HandBounds, HandPlanned, HandRule } from './byConditions';
