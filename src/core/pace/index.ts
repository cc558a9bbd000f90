export { lastDayOfMonth, monthOf, monthPace } from './monthPace';
export type { MonthPace } from './monthPace';
export { fundsEnd } from './fundsEnd';
export type { FundsEnd } from './fundsEnd';
export { moneyWarnings } from './warnings';
export type { MoneyOfAccount, MoneyWarning, PacedCampaign } from './warnings';
export { daysOfPart, isGone, lifeOfPart, monthOfPart, partWarnings } from './partPace';
export type { PartPace, PlanSpan } from './partPace';
