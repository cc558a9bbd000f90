export { dayOfWeek, DAYS_OF_WEEK, heldThrough, isOnWeek, nextSwitch, weekOfTrial } from './pattern';
export { shownBeforeAfter, shownIn, weeksNeeded } from './power';
export type { TrialSize } from './power';
export { estimateTrial, verdictOf } from './estimate';
export type { TrialEffect, TrialEstimate, TrialMeasure, TrialVerdict, TrialWeek, WeekSums } from './estimate';
export { leftBound, movesOf } from './watch';
export type { TrialBounds, Watched, WatchedMoves } from './watch';
