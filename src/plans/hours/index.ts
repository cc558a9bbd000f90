export { hoursByCampaign, monthsUnder, planHours } from './planHours';
export type { CampaignHours, HourFigures, HourParts } from './planHours';
export { hourReason, pendingSchedules, scheduleStake, wantsOf } from './scheduleActs';
export type { HoursAsked } from './types';
export { basesDown, HOURS_STEP, RAISED_FROM_BELOW, scheduleChanges } from './scheduleChanges';
export type { FollowPart } from './scheduleChanges';
