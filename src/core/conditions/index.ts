export {
  CHOICES,
  isChoiceKey,
  isNumberKey,
  isTextKey,
  movedMeasure,
  NUMBER_FIELDS,
  OF_PRODUCTS,
  numberField,
  shownScale,
  TEXT_LABELS,
} from './fields';
export type { ChoiceKey, ExtraKey, NumberKey, PlanKey, RankKey, TextKey } from './keys';
export type { NumberField } from './numberField';
export { PLAN_FIELDS } from './planFields';
export { RANK_FIELDS } from './rankFields';
export {
  isChoiceCondition,
  isNumberCondition,
  isTextCondition,
  readAnyOf,
  readCondition,
  writeAnyOf,
  writeCondition,
  writeNumbers,
} from './condition';
export type { AnyOf, Condition, Stack } from './condition';
export { arrangeRows } from './arrange';
export type { RowReader, SortOrder } from './arrange';
