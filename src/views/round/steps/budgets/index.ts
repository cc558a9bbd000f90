import { BUDGETS_NAME, BudgetStep, useBudgetWork } from '../../budgets';
import type { BudgetWork } from '../../budgets';
import type { RoundStep } from '../step';
import { SALES_TO_GAIN } from '../../../shared/words';

export const budgets: RoundStep<BudgetWork> = {
  name: BUDGETS_NAME,
  label: 'Budgets',
  money: SALES_TO_GAIN,
  purpose: 'budget',
  keys: [
    ['a', 'budgets: accept the whole plan, after a summary'],
    ['m', 'budgets: what may be spent'],
    ['[ ]', 'budgets: budget −5 % or +5 %, the others give way'],
    ['0', 'budgets: back to what is proposed'],
  ],
  work: { useWork: useBudgetWork },
  Step: BudgetStep,
  hasEvidence: true,
};
