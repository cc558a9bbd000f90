export { MOST_WEEKS } from './effectFeed';
export type { EffectFeed, EffectTarget, MadeChange, WeeksAround } from './effectFeed';
export { effectMeasure } from './measureEffect';
export type { MeasuredEffect, Moved } from './measureEffect';
export { touchedTargets } from './touched';
export type { TargetPlaces } from './touched';
