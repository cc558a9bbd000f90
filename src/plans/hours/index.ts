export { hoursByCampaign, monthsUnder, planHours } from './planHours';
export type { CampaignHours, HourFigures, HourParts } from './planHours';
export { basesDown, HOURS_STEP, scheduleChanges } from './scheduleChanges';
export type { FollowPart } from './scheduleChanges';
