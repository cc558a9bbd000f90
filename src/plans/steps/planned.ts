import type { NewChange } from '../../contract/changes';
import type { Amount, PlanAnswer, PlanProposal } from '../../contract/plan';
import { ratio } from '../../core/measures';
import type { Sums } from '../../core/measures';
import { microsToDecimal } from '../../core/units';

/** A proposal as it is told, with what accepting it stages; null where something has to be chosen by hand first. */
export interface Planned {
  told: PlanProposal;
  changes: NewChange[] | null;
  /** Of `told.expected`, micros; null where the margin is not known. */
  expected: { spend: number; sales: number; profit: number | null };
}

/** Money as a decimal string; null where it is not known. */
export function amount(micros: number): Amount;
export function amount(micros: number | null): Amount | null;
export function amount(micros: number | null): Amount | null {
  return micros === null ? null : microsToDecimal(Math.round(micros));
}

/** What a subject did in the window. */
export const figuresOf = ({
  clicks,
  orders,
  spend,
  sales,
}: Pick<Sums, 'clicks' | 'orders' | 'spend' | 'sales'>): PlanProposal['figures'] => ({
  clicks,
  orders,
  spend: amount(spend),
  sales: amount(sales),
  acos: ratio(spend, sales),
});

/** What all proposals of a step come to; the profit is of those whose margin is known. */
export function summaryOf(list: readonly Planned[]): PlanAnswer['summary'] {
  const sum = { spend: 0, sales: 0, profit: null as number | null };
  for (const { expected } of list) {
    sum.spend += expected.spend;
    sum.sales += expected.sales;
    if (expected.profit !== null) sum.profit = (sum.profit ?? 0) + expected.profit;
  }
  return {
    count: list.length,
    spend: amount(sum.spend),
    sales: amount(sum.sales),
    profit: amount(sum.profit),
  };
}
