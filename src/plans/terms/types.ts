import type { SortOrder, Stack } from '../../core/conditions';
import type { HarvestProposal } from '../../core/harvest';
import type { BlockReach, NegativePlace, NegativeProposal } from '../../core/negatives';
import type { Sums } from '../../core/measures';
import type { ConversionPrior } from '../../core/evidence';
import type { TermKind } from '../../core/matching';
import type { Negative } from '../../core/structure';
import type { TermTable } from '../../core/terms';
import type { TermChoices } from '../../contract/choices';
import type { ReviewData, StepName } from '../../contract/review';

/** From when on a search term is proposed in a round. Shares. */
export interface ReviewSettings extends TermChoices {
  maxAcos: number;
  targetAcos: number;
  /** Whether terms move along routes alone: where none begins, nothing is proposed. */
  isRoutedOnly?: boolean;
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
  /** Expected profit of all harvests, micros a month; 0 for negatives. */
  profit: number;
}

/** What a proposal is told with: its reason, and the places of each reach in which its term can be blocked. */
interface Told {
  reason: string;
  places: Map<BlockReach, NegativePlace[]>;
}

export type Proposal =
  | ({ step: 'harvest' } & Told & HarvestProposal)
  | ({ step: 'negatives' } & Told & NegativeProposal);

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

/** A window's answer with its rows as a table. */
export interface ReviewTable extends Omit<ReviewData, 'rows'> {
  /** Which load of the worker this is: its row numbers hold for no other. */
  loadId: number;
  table: TermTable;
}

/** What the page gets once a window is loaded. */
export interface LoadedReview extends ReviewTable {
  estimates: Estimates;
  /** Kind of each row's term, as an index in TERM_KINDS; and 1 where it was first seen in the window. */
  kinds: Uint8Array;
  isNew: Uint8Array;
}

/** Where else a row's term runs, and what is known of it. */
export interface RowDetail {
  proposal: Proposal;
  /** Other rows with the same normalised term. */
  elsewhere: number[];
  exactTargets: number[];
  /** Negatives that stop the term, wherever they stand. */
  negatives: Negative[];
  isNegativeHere: boolean;
  kind: TermKind;
  /** Seen first in the window. */
  isNew: boolean;
  /** What is expected of its conversion before its own clicks; and its own, on all settled days that count. */
  prior: ConversionPrior;
  judged: { clicks: number; orders: number; days: number };
  /** Conversion rate that the target needs at the present CPC; null when unknown. */
  needed: number | null;
}

export const rowKey = (step: StepName, adGroupId: number, termId: number) => `${step}:${adGroupId}:${termId}`;
