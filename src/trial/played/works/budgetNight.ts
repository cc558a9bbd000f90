import { planBudgets } from '../../../core/budgets';
import { preparedTonight } from './prepared';
import { NO_FIGURES } from './nightMove';
import type { NightWork } from './nightMove';
import { aimedAt, settingsOfRule } from './settings';

/** Money moves to where the next of it sells most; the sum of the budgets stays. */
export const budgetNight: NightWork = (rule, market, memory) => {
  const { prepared, dry } = preparedTonight(market, memory);
  const { campaigns } = market.books;
  const plan = planBudgets(
    aimedAt(prepared, rule.target),
    settingsOfRule(rule, market),
    campaigns.map(({ budget, state }) => ({ budget, isRunning: state === 'enabled', locked: null })),
    { means: 'sum stays', sum: campaigns.reduce((sum, { budget }) => sum + budget, 0) },
    dry,
    market.scenario.limits,
  );
  return plan.proposals.flatMap(({ campaign, to, now, after }) =>
    to === null
      ? []
      : [
          {
            figures: NO_FIGURES,
            spend: after.spend - now.spend,
            make: () => {
              campaigns[campaign].budget = to;
            },
          },
        ],
  );
};
