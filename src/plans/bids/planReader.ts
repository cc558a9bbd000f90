import { BID_STEPS, learntPerCost, testAt } from '../../core/bids';
import type { BidStep, PlanColumns } from '../../core/bids';
import type { NumberKey, PlanKey, RowReader, Stack } from '../../core/conditions';
import type { LensTable } from '../../core/lenses';

type NumberAt = (row: number) => number | null;

/** What a plan says of a row, by field; null where it says nothing. Micros, shares. */
const READERS: Record<PlanKey, (plan: PlanColumns, table: LensTable) => NumberAt> = {
  'plan.dry': (plan) => (row) => (Number.isNaN(plan.dry[row]) ? null : plan.dry[row]),
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

/** The steps of the round as conditions name them. */
const JUDGED: Record<BidStep, string> = {
  dead: 'dead spend',
  over: 'overpaying',
  grow: 'room to grow',
  test: 'testing',
  none: 'nothing proposed',
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
    choice: (key) => (key === 'judged' ? (row) => JUDGED[BID_STEPS[plan.step[row]]] : reader.choice(key)),
  };
}

/** Whether rows can only be told apart by what a plan says of them. */
export const asksPlan = (stack: Stack, sorts: readonly { by: string }[]): boolean =>
  [...stack.flat().map(({ field }) => field as string), ...sorts.map(({ by }) => by)].some(
    (field) => field === 'judged' || field in READERS,
  );
