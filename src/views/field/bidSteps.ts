import type { MarketLimits } from '../../core/changes';
import { formatMoney } from '../../core/units';
import type { NewChange } from '../../contract/api';
import type { TargetRow } from './targetRows';

/** Changes that move bids, and how many of them ended at a limit or stayed as they are. */
export interface BidSteps {
  changes: NewChange[];
  atLimit: number;
  /** Targets without a bid of their own, or whose bid would not move. */
  left: number;
}

/** A bid moved by a share, on the market's step and within its limits; at least one step in the wanted direction. */
export function movedBid(bid: number, by: number, { bidStep, minBid, maxBid }: MarketLimits): number {
  const wanted = bid * (1 + by);
  const rounded =
    by < 0 ? Math.floor(wanted / bidStep + 1e-9) * bidStep : Math.ceil(wanted / bidStep - 1e-9) * bidStep;
  return Math.min(maxBid, Math.max(minBid, rounded));
}

/** Moves the bids of some targets by a share (-0.15 = 15 % down). */
export function bidSteps(rows: readonly TargetRow[], by: number, limits: MarketLimits): BidSteps {
  const steps: BidSteps = { changes: [], atLimit: 0, left: 0 };
  for (const row of rows) {
    const to = row.bid === null ? null : movedBid(row.bid, by, limits);
    if (to === null || to === row.bid) {
      steps.left += 1;
      continue;
    }
    if (to === limits.minBid || to === limits.maxBid) steps.atLimit += 1;
    steps.changes.push(
      bidChange(row, to, `By hand: ${by > 0 ? '+' : '−'}${Math.abs(Math.round(by * 100))} %.`),
    );
  }
  return steps;
}

/** One bid set to a value. */
export function bidChange(row: TargetRow, to: number, reason?: string): NewChange {
  const { clicks, orders, spend, sales } = row.sums;
  return {
    change: { kind: 'set-bid', targetId: row.id, from: row.bid, to },
    reason: reason ?? `By hand: ${formatMoney(row.bid)} → ${formatMoney(to)}.`,
    figures: { clicks, orders, spend, sales },
    // What another bid brings is told when it is estimated, not guessed.
    effect: { spend: 0, sales: 0 },
  };
}
