import type { BidStepName } from '../../contract/review';
import type { BidSettings } from '../../core/bids';
import type { SortOrder, Stack } from '../../core/conditions';

/** What bids are sorted by: what a plan alone knows, or any field of the rows. */
export type BidSort = { by: SortOrder['by'] | 'stake' | 'move' | 'chance'; descending: boolean };

/** Which rows of a step that tunes bids are asked for. */
export interface BidsAsked {
  step: BidStepName;
  show: 'proposed' | 'all' | 'aside';
  settings: BidSettings;
  conditions: Stack;
  sort: BidSort | null;
  /** Targets that have a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

export interface BidStepSummary {
  step: BidStepName;
  left: number;
  /** At stake in a month, micros. */
  money: number;
}

export interface ArrangedBids {
  loadId: number;
  rows: Int32Array;
  steps: BidStepSummary[];
  /** Targets in all. */
  all: number;
}
