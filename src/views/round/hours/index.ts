export { HourStep } from './HourStep';
export { useHourWork } from './useHourWork';
export type { HourWork } from './useHourWork';
