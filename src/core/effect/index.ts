export { MOST_WEEKS } from './effectFeed';
export type { EffectFeed, EffectTarget, MadeChange, WeeksAround } from './effectFeed';
export { effectMeasure } from './measureEffect';
export type { ExpectedEffect, MeasuredEffect, Moved } from './measured';
export { touchedTargets } from './touched';
export type { TargetPlaces } from './touched';
