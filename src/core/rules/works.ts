/** What a rule can do by night. */
export const RULE_WORKS = [
  'dead',
  'bids',
  'negatives',
  'harvest',
  'new terms',
  'by hand',
  'placements',
  'budgets',
  'hours',
  'growth',
] as const;
export type RuleWork = (typeof RULE_WORKS)[number];
