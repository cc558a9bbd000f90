export { comparedWindow } from './comparedWindow';
export type { ComparedWindow, DataDays } from './comparedWindow';
export { cutsNone, middleDay, sumsIn, withWholeSums } from './summed';
export { settledWindow, UNSETTLED_DAYS, WINDOW_DAYS, windowBefore } from './settledWindow';
export type { SettledWindow, Window } from './settledWindow';
export { daysOfWindow, daysOfWords, lastDays, readSpan, SETTLED, writeSpan } from './windowWords';
export { completionCurve, completionOf, FINAL_AGE, SETTLED_SHARE, unsettledDays } from './completion';
export type { Completion, OrderSnapshot } from './completion';
