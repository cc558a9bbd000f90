export { CutLine } from './cutLine/CutLine';
export type { Area } from './cutLine/CutLine';
export type { CutLinePoints } from './cutLine/layout';
export { DayStrip } from './dayStrip/DayStrip';
export { RateCurve } from './rateCurve/RateCurve';
