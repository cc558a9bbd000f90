import { withDryDays } from '../../budgetPolicies';
import { keptTonight } from './tonight';

/** What bids, budgets and placements are worked out from. */
export const preparedTonight = keptTonight(withDryDays);
