export { goalFinder, GOAL_SCOPES } from './goal';
export type { EffectiveGoal, Goal, GoalFinder, GoalPlace, GoalScope } from './goal';
