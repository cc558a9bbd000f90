export { lastDayOfMonth, monthOf, monthPace } from './monthPace';
export type { MonthPace } from './monthPace';
