import type { BudgetsPlan } from '../../../plans/budgets';

/** Campaigns that ran dry, and the sales that they missed in a month, micros. */
export function ranDry({ rows }: BudgetsPlan): { count: number; missed: number } {
  const dry = rows.filter((row) => row.dry.length > 0);
  return {
    count: dry.length,
    missed: dry.reduce((sum, { missed, perMonth }) => sum + missed.sales * perMonth, 0),
  };
}
