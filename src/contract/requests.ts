// What endpoints are asked with, beyond the requests that belong to one topic.
import type { NewTarget } from './field';
import type { ImportKind, ReportKind } from './reportFields';

export interface OfAccount {
  account: number;
}

export interface WindowQuery extends OfAccount {
  from?: string;
  to?: string;
}

/** A window, and the span that it is compared with (`writeSpan`); left out: the usual window, the days before it. */
export interface AskedWindow {
  from?: string;
  to?: string;
  versus?: string;
}
export type OverviewQuery = OfAccount & AskedWindow;

export interface AccountChange {
  name?: string;
  targetAcos?: number;
  timezone?: string;
}

export interface ImportQuery extends OfAccount {
  kind: ImportKind;
  name?: string;
  /** Which line with text holds the headings, from 1. */
  headingLine?: number;
  /** How amounts and days in numbers are written, where the file does not tell. */
  decimals?: 'point' | 'comma';
  dayOrder?: 'day-first' | 'month-first';
  /** The days that the rows of a file without days sum up. */
  from?: string;
  to?: string;
}

/** A sum over several days, by its first one. */
export interface SummedQuery extends OfAccount {
  kind: ReportKind;
  from: string;
}

/** By what sums are grouped. */
export type SumsGrain =
  | 'account'
  | 'day'
  | 'line'
  | 'product'
  | 'campaign'
  | 'ad-group'
  | 'target'
  | 'term'
  | 'placement'
  | 'hour';

export interface SumsQuery extends OfAccount {
  grain: SumsGrain;
  from: string;
  to: string;
  /** "campaign:12"; left out: the whole account. */
  scope?: string;
  /** Beside the window of the same length before it. */
  compare?: 'before';
  /** Days whose orders are still coming in: as they are, or completed by an estimate. */
  unsettled?: 'as-is' | 'complete';
}

/** What sums for the field are asked for. */
export interface FieldQuery extends OverviewQuery {
  grain: 'target' | 'ad-group' | 'term' | 'placement';
}

/** What an account is made of: with its targets, with one of each form in an ad group, or only what they hang in. */
export interface TreeQuery extends OfAccount {
  targets: 'all' | 'forms' | 'none';
}

/** Of targets that are there, or of some that are not yet. */
export interface SuggestRequest extends OfAccount {
  ids?: number[];
  targets?: NewTarget[];
}

/** Accepted changes of a thing since a day; of the whole account when nothing is named. */
export interface HistoryQuery extends OfAccount {
  from: string;
  targetId?: number;
  adGroupId?: number;
  campaignId?: number;
}

export interface DataExportQuery extends WindowQuery {
  kind: ImportKind;
  format: 'csv' | 'xlsx';
}

/** A table that a page shows, to be saved as a file. */
export interface TableToWrite {
  name: string;
  headings: string[];
  rows: unknown[][];
}
