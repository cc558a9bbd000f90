import { BID_STEPS } from '../../core/bids';
import type { PlanColumns } from '../../core/bids';
import { arrangeRows } from '../../core/conditions';
import type { Stack } from '../../core/conditions';
import { orderByNumbers } from '../../core/order';
import type { BidStepName } from '../../contract/review';
import { rowStake } from './keptBids';
import type { KeptLens } from '../field';
import type { ArrangedBids, BidSort, BidsAsked, BidStepSummary } from './types';

const STEPS: BidStepName[] = ['dead', 'over', 'grow'];

/** The rows of a step that tunes bids, in order, and how much there is to do in each. */
export function arrangeBids(held: KeptLens, plan: PlanColumns, asked: BidsAsked): ArrangedBids {
  const { table, reader, loadId } = held;
  const staged = new Set(asked.staged);
  const aside = new Set(asked.aside);
  const stake = new Float64Array(table.size);
  const queues: Record<BidStepName, number[]> = { dead: [], over: [], grow: [] };
  for (let row = 0; row < table.size; row += 1) {
    const step = BID_STEPS[plan.step[row]];
    if (step === 'none') continue;
    stake[row] = rowStake(plan, table, row);
    const id = table.targetId[row];
    if (!staged.has(id) && !aside.has(id)) queues[step].push(row);
  }
  const candidates =
    asked.show === 'proposed'
      ? Int32Array.from(queues[asked.step])
      : Int32Array.from({ length: table.size }, (_, row) => row).filter((row) =>
          asked.show === 'aside' ? aside.has(table.targetId[row]) : true,
        );
  return {
    loadId,
    rows: sortBids(held, plan, stake, candidates, asked.conditions, asked.sort),
    steps: STEPS.map((step) => summary(step, queues[step], stake)),
    all: reader.size,
  };
}

function summary(step: BidStepName, rows: number[], stake: Float64Array): BidStepSummary {
  return { step, left: rows.length, money: rows.reduce((sum, row) => sum + stake[row], 0) };
}

/** By what only a plan knows, or by any measure; the largest stake first where nothing else is asked for. */
function sortBids(
  { reader }: KeptLens,
  plan: PlanColumns,
  stake: Float64Array,
  rows: Int32Array,
  conditions: Stack,
  sort: BidSort | null,
): Int32Array {
  const kept = arrangeRows(reader, rows, conditions, []);
  const { by, descending } = sort ?? { by: 'stake' as const, descending: true };
  const own = {
    stake: (row: number) => stake[row],
    move: (row: number) => (plan.from[row] > 0 ? plan.to[row] / plan.from[row] : 0),
    chance: (row: number) => plan.chance[row],
  };
  if (!(by in own)) return arrangeRows(reader, kept, [], [{ by, descending } as never]);
  const keys = new Float64Array(reader.size);
  for (const row of kept) keys[row] = (descending ? -1 : 1) * own[by as keyof typeof own](row);
  return orderByNumbers(kept, keys);
}
