import type { Micros } from '../units';

/**
 * Spreads a total over campaigns: those with a budget of their own keep it, the others share the rest alike, in whole steps, the first ones the odd
 * ones. Where the own budgets reach the total, the others get nothing: the sum is then above the total, and told so.
 * @param own micros; null where none was set
 * @param step what a budget stands on, micros
 */
export function spreadBudget(total: Micros, own: readonly (Micros | null)[], step: Micros): Micros[] {
  const kept = own.reduce<number>((sum, budget) => sum + (budget ?? 0), 0);
  const open = own.filter((budget) => budget === null).length;
  const steps = Math.max(0, Math.floor((total - kept) / step));
  const each = open === 0 ? 0 : Math.floor(steps / open);
  let odd = open === 0 ? 0 : steps - each * open;
  return own.map((budget) => {
    if (budget !== null) return budget;
    const extra = odd > 0 ? 1 : 0;
    odd -= extra;
    return (each + extra) * step;
  });
}
