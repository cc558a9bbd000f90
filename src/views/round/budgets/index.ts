export { BudgetStep } from './BudgetStep';
export { BUDGETS_NAME, useBudgetWork } from './useBudgetWork';
export type { BudgetWork } from './useBudgetWork';
