import type { BudgetsPlan } from '../../../plans/budgets';

/** Campaigns that ran dry, and the sales that they missed in a month, micros; `isKnown`: whether hours tell of any campaign. */
export function ranDry({ rows }: BudgetsPlan): {
  count: number;
  missed: number;
  isKnown: boolean;
} {
  const dry = rows.filter((row) => row.dry.length > 0);
  return {
    count: dry.length,
    isKnown: rows.some(({ days }) => days > 0),
    missed: dry.reduce((sum, { missed, perMonth }) => sum + missed.sales * perMonth, 0),
  };
}
