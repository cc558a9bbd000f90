import { learntPerCost, testAt } from '../../core/bids';
import type { PlanColumns } from '../../core/bids';
import type { NumberKey, PlanKey, RowReader } from '../../core/conditions';
import type { LensTable } from '../../core/lenses';

type NumberAt = (row: number) => number | null;

/** What a plan says of a row, by field; null where it says nothing. Micros, shares. */
const READERS: Record<PlanKey, (plan: PlanColumns, table: LensTable) => NumberAt> = {
  'plan.to': (plan) => (row) => (plan.from[row] > 0 ? plan.to[row] : null),
  'plan.step': (plan) => (row) => (plan.from[row] > 0 ? plan.to[row] / plan.from[row] - 1 : null),
  'plan.wanted': (plan) => (row) => (plan.wanted[row] > 0 ? plan.wanted[row] : null),
  'plan.chance': (plan) => (row) => (plan.from[row] > 0 ? plan.chance[row] : null),
  'plan.profit': (plan, table) => (row) => {
    const margin = table.margin[row];
    if (Number.isNaN(margin)) return null;
    return margin * (plan.afterSales[row] - plan.nowSales[row]) - (plan.afterSpend[row] - plan.nowSpend[row]);
  },
  'plan.learnt': (plan) => (row) => {
    const test = testAt(plan, row);
    return test && learntPerCost(test);
  },
};

/** Reads one field of a plan. */
export const planNumber = (key: PlanKey, plan: PlanColumns, table: LensTable): NumberAt =>
  READERS[key](plan, table);

const isPlanKey = (key: NumberKey): key is PlanKey => key in READERS;

/** Rows of a table read together with what a plan says of them. */
export function planReader(reader: RowReader, plan: PlanColumns, table: LensTable): RowReader {
  return {
    ...reader,
    number: (key) => (isPlanKey(key) ? planNumber(key, plan, table) : reader.number(key)),
  };
}
