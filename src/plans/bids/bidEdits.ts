import { monthAtBid, monthNow, proposalAt } from '../../core/bids';
import type { Month, PlanColumns } from '../../core/bids';
import type { LensTable } from '../../core/lenses';
import type { Micros } from '../../core/units';

/** What the specialist does instead of what is proposed. */
export type BidEdit = { kind: 'bid'; to: Micros } | { kind: 'pause' };
/** Edits by target. */
export type BidEdits = ReadonlyMap<number, BidEdit>;

/** What is to be done with a target: its bid set, or paused. */
export interface BidAct {
  row: number;
  targetId: number;
  isPause: boolean;
  /** Of a pause the bid as it is. */
  from: Micros;
  to: Micros;
  now: Month;
  after: Month;
}

const NOTHING: Month = { clicks: 0, spend: 0, sales: 0 };

/** What accepting a row does. */
export function actOf(plan: PlanColumns, table: LensTable, edits: BidEdits, row: number): BidAct {
  const targetId = table.targetId[row];
  const edit = edits.get(targetId);
  const proposal = proposalAt(plan, row);
  const { from, to } = proposal;
  const now = monthNow(plan, row);
  if (edit?.kind === 'pause' || (edit === undefined && to === 0 && from > 0))
    return { row, targetId, isPause: true, from, to: from, now, after: NOTHING };
  const next = edit?.to ?? to;
  return {
    row,
    targetId,
    isPause: false,
    from,
    to: next,
    now,
    after: next === from ? now : monthAtBid(proposal, next),
  };
}

/** The edit that pauses what goes on, or has what would be paused go on. @param proposed 0: a pause */
export function turnedPause({ isPause, from }: BidAct, proposed: Micros): BidEdit | null {
  if (proposed === 0) return isPause ? { kind: 'bid', to: from } : null;
  return isPause ? null : { kind: 'pause' };
}

/** What several acts come to. */
export interface BidSummary {
  count: number;
  down: number;
  up: number;
  paused: number;
  atFloor: number;
  atCap: number;
  /** Rows on which nothing would change. */
  same: number;
  now: Month;
  after: Month;
}

/** Sums acts up, by what they do. @param limits floor and cap of this round, micros */
export function sumActs(acts: readonly BidAct[], limits: { minBid: Micros; maxBid: Micros }): BidSummary {
  const sum: BidSummary = {
    count: 0,
    down: 0,
    up: 0,
    paused: 0,
    atFloor: 0,
    atCap: 0,
    same: 0,
    now: { ...NOTHING },
    after: { ...NOTHING },
  };
  for (const { isPause, from, to, now, after } of acts) {
    if (!isPause && from === to) {
      sum.same += 1;
      continue;
    }
    sum.count += 1;
    if (isPause) sum.paused += 1;
    else if (to < from) sum.down += 1;
    else sum.up += 1;
    if (!isPause && to <= limits.minBid) sum.atFloor += 1;
    if (!isPause && to >= limits.maxBid) sum.atCap += 1;
    for (const key of ['clicks', 'spend', 'sales'] as const) {
      sum.now[key] += now[key];
      sum.after[key] += after[key];
    }
  }
  return sum;
}
