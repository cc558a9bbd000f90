export {
  CHOICES,
  isChoiceKey,
  isNumberKey,
  isTextKey,
  movedMeasure,
  NUMBER_FIELDS,
  OF_PRODUCTS,
  PLAN_FIELDS,
  RANK_FIELDS,
  numberField,
  shownScale,
  TEXT_LABELS,
} from './fields';
export type { ChoiceKey, ExtraKey, NumberField, NumberKey, PlanKey, RankKey, TextKey } from './fields';
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
