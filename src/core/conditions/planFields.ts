import type { PlanKey } from './keys';
import { extra } from './numberField';
import type { NumberField } from './numberField';

/** What a plan of bids says of a row. */
export const PLAN_FIELDS: readonly (NumberField & { key: PlanKey })[] = [
  extra('plan.to', 'Proposed bid', 'money', 2, 'The bid that is proposed, after the step of the pace.'),
  extra('plan.step', 'Step', 'share', 0, 'Proposed bid ÷ present bid − 1.'),
  extra('plan.wanted', 'Wanted bid', 'money', 2, 'What it would be bid without the step of the pace.'),
  extra(
    'plan.chance',
    'Chance',
    'share',
    0,
    'Chance that it reaches its target ACOS at its present cost per click.',
  ),
  extra(
    'plan.profit',
    'Profit ±',
    'money',
    2,
    'Margin × sales − spend that a month is expected to change by; a dash where costs are not known.',
  ),
  extra(
    'plan.dry',
    'Ran dry',
    'share',
    0,
    'Share of the last 7 days on which its campaign spent its budget.',
  ),
  extra(
    'plan.learnt',
    'Learnt per cost',
    'factor',
    2,
    'Of a test: what it earns if it proves good × the chance of that ÷ what it costs at most.',
  ),
];
