import type { SortOrder, Stack } from '../../core/conditions';

/** Which rows of a step over campaigns are asked for. */
export interface CampaignRowsAsked {
  show: 'proposed' | 'all' | 'aside';
  conditions: Stack;
  sort: { by: SortOrder['by'] | 'stake'; descending: boolean } | null;
  /** Campaigns that have such a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

/** The rows of a step over campaigns. */
export interface ArrangedCampaigns {
  loadId: number;
  rows: Int32Array;
  left: number;
  /** At stake in a month, micros. */
  money: number;
  all: number;
}
