import { BID_STEPS, leftOf } from '../../core/bids';
import type { PlanColumns } from '../../core/bids';
import { arrangeRows } from '../../core/conditions';
import { orderByNumbers } from '../../core/order';
import type { BidQueue, BidStepName } from '../../contract/review';
import { rowStake } from './keptBids';
import type { KeptLens } from '../field';
import { planReader } from './planReader';
import type { ArrangedBids, BidsAsked, BidStepSummary } from './types';

const STEPS: BidStepName[] = ['dead', 'over', 'grow'];

/** The rows of a step that tunes bids, in order, and how much there is to do in each. */
export function arrangeBids(held: KeptLens, plan: PlanColumns, asked: BidsAsked): ArrangedBids {
  const { table, reader, loadId } = held;
  const staged = new Set(asked.staged);
  const aside = new Set(asked.aside);
  const stake = new Float64Array(table.size);
  const queues: Record<BidQueue, number[]> = { dead: [], over: [], grow: [], test: [] };
  const testing = { left: 0, cost: 0, ...plan.testing };
  for (let row = 0; row < table.size; row += 1) {
    const step = BID_STEPS[plan.step[row]];
    if (step === 'none') continue;
    stake[row] = rowStake(plan, table, row);
    const id = table.targetId[row];
    const cost = step === 'test' ? plan.testCost[row] : 0;
    if (staged.has(id)) testing.used += cost;
    else if (!aside.has(id)) {
      queues[step].push(row);
      testing.cost += cost;
    }
  }
  testing.left = queues.test.length;
  const queue = asked.show === 'testing' ? queues.test : queues[asked.step];
  const candidates =
    asked.show === 'proposed' || asked.show === 'testing'
      ? Int32Array.from(queue)
      : Int32Array.from({ length: table.size }, (_, row) => row).filter((row) =>
          asked.show === 'aside' ? aside.has(table.targetId[row]) : true,
        );
  return {
    loadId,
    rows: sortBids(held, plan, stake, candidates, asked),
    steps: STEPS.map((step) => ({
      ...summary(step, queues[step], stake),
      secondSteps: secondSteps(plan, step, queues[step]),
    })),
    testing,
    all: reader.size,
  };
}

/** How many proposals of a step go on with a move before anything new is known; and how many such are left out. */
function secondSteps(plan: PlanColumns, step: BidStepName, rows: number[]): BidStepSummary['secondSteps'] {
  let leftOut = 0;
  const isUp = step === 'grow';
  if (step !== 'dead')
    for (let row = 0; row < plan.size; row += 1)
      if (leftOf(plan, row) === 'second step' && plan.wanted[row] > plan.from[row] === isUp) leftOut += 1;
  return { proposed: rows.filter((row) => plan.isSecondStep[row] === 1).length, leftOut };
}

function summary(
  step: BidStepName,
  rows: number[],
  stake: Float64Array,
): Omit<BidStepSummary, 'secondSteps'> {
  return { step, left: rows.length, money: rows.reduce((sum, row) => sum + stake[row], 0) };
}

/** By what is at stake, or by any field of rows and plan; the largest stake first where nothing else is asked for, of tests what is learnt most for its cost. */
function sortBids(
  { reader, table }: KeptLens,
  plan: PlanColumns,
  stake: Float64Array,
  rows: Int32Array,
  { conditions, sort, show }: BidsAsked,
): Int32Array {
  const both = planReader(reader, plan, table);
  const kept = arrangeRows(both, rows, conditions, []);
  const { by, descending } = sort ?? { by: show === 'testing' ? 'plan.learnt' : 'stake', descending: true };
  if (by !== 'stake') return arrangeRows(both, kept, [], [{ by, descending }]);
  const keys = new Float64Array(reader.size);
  for (const row of kept) keys[row] = (descending ? -1 : 1) * stake[row];
  return orderByNumbers(kept, keys);
}
