import type { BidStepName } from '../../contract/review';
import type { SortOrder, Stack } from '../../core/conditions';
import type { RoundSettings } from '../../contract/bids';

/** What bids are sorted by: what a plan alone knows, or any field of the rows. */
export type BidSort = { by: SortOrder['by'] | 'stake'; descending: boolean };

/** Which rows of a step that tunes bids are asked for. */
export interface BidsAsked {
  step: BidStepName;
  show: BidShow;
  settings: RoundSettings;
  conditions: Stack;
  sort: BidSort | null;
  /** Targets that have a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

/** Which rows of a step are shown; testing: those that are not proven yet. */
export type BidShow = 'proposed' | 'testing' | 'all' | 'aside';

/** How much testing there is to do, and what it may cost. Micros a month. */
export interface TestingSummary {
  left: number;
  /** What those left cost more at most. */
  cost: number;
  cap: number;
  /** Taken of the cap by tests of the last 30 days, and by those in the tray. */
  used: number;
}

export interface BidStepSummary {
  step: BidStepName;
  left: number;
  /** At stake in a month, micros. */
  money: number;
  /** Of these, and of those left alone: what goes on with a move before anything new is known. */
  secondSteps: { proposed: number; leftOut: number };
}

export interface ArrangedBids {
  loadId: number;
  rows: Int32Array;
  steps: BidStepSummary[];
  testing: TestingSummary;
  /** Targets in all. */
  all: number;
}
