export { CELLS, hourCells, WEEKDAYS } from './cells';
export type { HourCells, HourRows } from './cells';
export { rhythmOf } from './rhythm';
export type { Rhythm } from './rhythm';
export { hoursWorth } from './worth';
export type { HoursWorth } from './worth';
export { OWN_PATTERN, rhythmWithin } from './within';
export { weekHours } from './weekHours';
