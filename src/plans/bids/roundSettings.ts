import type { PlanChoices } from '../../contract/choices';
import { settingsOf } from '../../core/bids';
import type { MarketLimits } from '../../core/changes';
import type { AheadIds, RoundSettings } from '../../contract/bids';

/** The settings that an account's bids and budgets are planned at, wherever that is. @param ahead what of the tray they start from */
export const roundSettings = (
  { bids, money }: Pick<PlanChoices, 'bids' | 'money'>,
  limits: MarketLimits,
  ahead?: AheadIds,
): RoundSettings => ({
  ...settingsOf(bids, limits),
  money,
  budgetLimits: { minBudget: limits.minBudget, maxBudget: limits.maxBudget, bidStep: limits.bidStep },
  ...(bids.testCaps.length > 0 && { testCaps: bids.testCaps }),
  ...(ahead && { ahead }),
});
