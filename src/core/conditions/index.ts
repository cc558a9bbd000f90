export { isTextCondition, readCondition, shownScale, writeCondition } from './condition';
export type { Condition, MeasureCondition, TextCondition } from './condition';
export { arrangeRows } from './arrange';
export type { RowTexts, SortOrder } from './arrange';
