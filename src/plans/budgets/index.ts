export { budgetProposals, budgetRows } from './planBudgetRows';
export { BUDGET_STEP, budgetChanges, budgetStake, isMoved } from './budgetActs';
export { ownCampaignChanges, ownFields } from './ownCampaign';
export type { OwnCampaign } from './ownCampaign';
export { spendShares } from './spendShares';
export type { SpendShares } from './spendShares';
export { pendingBudgets } from './pending';
export type { BudgetRow, BudgetsAsked, BudgetSettings, BudgetsPlan } from './types';
