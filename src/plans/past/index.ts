export { feedOnDay } from './feedOnDay';
export { reviewBefore, treeBefore } from './onDay';
export type { Since } from './onDay';
