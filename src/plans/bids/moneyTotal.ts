import type { BidFeed } from '../../core/bids';
import { moneyGoal } from '../../core/budgets';
import type { BudgetTotal } from '../../core/budgets';
import type { TreeIndex } from '../../core/structure';
import { DAYS_PER_MONTH } from '../../core/units';
import type { RoundSettings } from '../../contract/bids';

/** What the total of budgets means for a round; null while that is not said. */
export function moneyTotal(
  { money }: RoundSettings,
  { tree, campaignRuns }: TreeIndex,
  { month }: Pick<BidFeed, 'month'>,
): BudgetTotal | null {
  if (!money || money.means === null) return null;
  if (money.means === 'money') {
    if (money.month === null) return null;
    const daily = money.month / DAYS_PER_MONTH;
    const left = money.month - month.spent;
    return { means: 'money', daily, goal: moneyGoal(daily, left, month.daysLeft), over: money.over };
  }
  const running = tree.campaigns.filter(({ id, budgetKind }) => budgetKind === 'daily' && campaignRuns(id));
  // The high budget of a campaign whose bids hold its spend is no money that there is to spend.
  const byBids = new Map(money.byBids.map(({ campaignId, perDay }) => [campaignId, perDay]));
  return {
    means: 'sum stays',
    sum: running.reduce((sum, { id, budget }) => sum + (byBids.get(id) ?? budget ?? 0), 0),
  };
}
