export { bidPlanner } from './bidPlanner';
export type { BidPlanParts } from './bidPlanner';
export { planPlacementStep } from './planPlacements';
export type { PlacementParts } from './planPlacements';
export { planHourStep } from './planHourStep';
export { planBudgetStep } from './planBudgets';
export { planTerms } from './planTerms';
export { summaryOf } from './planned';
export type { Planned } from './planned';
