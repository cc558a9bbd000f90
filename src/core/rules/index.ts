export { byNearness, RULE_WORKS, USUAL_GUARDS, USUAL_RULE } from './rule';
export type { Rule, RuleGuards, RuleRhythm, RuleScope, RuleWork } from './rule';
export { isDue, nextNight } from './due';
export { LEFT, settleRules } from './settle';
export type { LeftWhy, NightUse, Settled, Wanted } from './settle';
export { effectTrip, refusalTrip, weekTrip } from './trip';
export type { RuleEffect, WeekSums } from './trip';
