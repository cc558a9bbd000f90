import type { SortOrder, Stack } from '../../../../core/conditions';
import type { HarvestProposal } from '../../../../core/harvest';
import type { NegativePlace, NegativeProposal, NegativeScope } from '../../../../core/negatives';
import type { Sums } from '../../../../core/measures';
import type { TermTable } from '../../../../core/terms';
import type { ReviewData, StepName } from '../../../../contract/api';

/** What is adjustable in a round. */
export interface ReviewSettings {
  /** Judged by probability, or by plain counts. */
  basis: 'chance' | 'counts';
  minOrders: number;
  /** Share. */
  maxAcos: number;
  /** Of a harvest, share. */
  surety: number;
  clicksMultiple: number;
  /** Of a negative, share. */
  chance: number;
  /** Of a negative in the window, micros. */
  leastSpend: number;
  /** Share. */
  targetAcos: number;
}

/** Which rows of a step are asked for. */
export type Show = 'proposed' | 'all' | 'aside';

export interface ArrangeRequest {
  step: StepName;
  show: Show;
  settings: ReviewSettings;
  conditions: Stack;
  sort: SortOrder | null;
  /** "step:adGroupId:termId" of rows that are staged or under way, and of rows that were put aside. */
  staged: string[];
  aside: string[];
}

/** How much there is to do in a step. */
export interface StepSummary {
  step: StepName;
  left: number;
  /** Micros in the window: sales of terms to harvest, spend of terms to block. */
  money: number;
}

/** What a proposal is told with: its reason, and the places of each scope in which its term can be blocked. */
interface Told {
  reason: string;
  places: Record<NegativeScope, NegativePlace[]>;
}

export type Proposal =
  ({ step: 'harvest' } & Told & HarvestProposal) | ({ step: 'negatives' } & Told & NegativeProposal);

export interface Arranged {
  loadId: number;
  rows: Int32Array;
  proposals: Map<number, Proposal>;
  /** Sums of the rows shown. */
  totals: Sums;
  steps: StepSummary[];
}

/** Estimates of every row, by row. Micros of sales per click. */
export interface Estimates {
  rpc: Float64Array;
  low: Float64Array;
  high: Float64Array;
  /** 0 thin, 1 fair, 2 strong. */
  grade: Uint8Array;
}

/** What the page gets once a window is loaded. */
export interface LoadedReview extends Omit<ReviewData, 'rows'> {
  /** Which load of the worker this is: its row numbers hold for no other. */
  loadId: number;
  table: TermTable;
  estimates: Estimates;
}

/** Where else a row's term runs, and what is known of it. */
export interface RowDetail {
  proposal: Proposal;
  /** Other rows with the same normalised term. */
  elsewhere: number[];
  exactTargets: number[];
  isNegativeHere: boolean;
  usualConversion: number;
  /** Conversion rate that the target needs at the present CPC; null when unknown. */
  needed: number | null;
}

export const rowKey = (step: StepName, adGroupId: number, termId: number) => `${step}:${adGroupId}:${termId}`;
