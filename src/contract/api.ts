// What the pages and scripts get from the server, and send to it. Money in micros unless a name says otherwise.
import type { MarketOptions } from './market';
import type { BreakEven, ProductCosts } from '../core/economics';
import type { Goal } from '../core/goals';
import type { ImportKind, ReportField, ReportKind } from './reportFields';
import type { Change, ChangeState, MarketLimits, ReadBack } from '../core/changes';
import type { Sums } from '../core/measures';
import type { Route } from '../core/routes';
import type { Structure } from '../core/structure';

export type { ChangeState };

export interface AccountInfo {
  id: number;
  name: string;
  currency: string;
  /** Share, for instance 0.24. */
  targetAcos: number;
  /** Whether changes can be sent: false for accounts that are fed by files alone. */
  connected: boolean;
  /** The account's present day. */
  today: string;
  firstDay: string | null;
  lastDay: string | null;
  /** What the account's market accepts. */
  limits: MarketLimits;
  /** What the market lets the account do; null for accounts fed by files. */
  options: MarketOptions | null;
  /** Prepaid money left, micros; null where the market bills afterwards. */
  funds: number | null;
}

export interface NewAccount {
  name: string;
  currency: string;
  targetAcos?: number;
}

export type ImportStateName = 'reading' | 'writing' | 'needs-mapping' | 'done' | 'refused';

export interface ImportAnswer {
  importId: number;
  account: number;
  kind: ImportKind;
  file: string | null;
  state: ImportStateName;
  read: number;
  kept: number;
  unchanged: number;
  refused: number;
  /** Required fields that no heading was found for. */
  unmatched: string[];
  /** Heading -> field. */
  matched: Record<string, string>;
  headings: string[];
  /** The fields that this kind of file can have. */
  fields: ReportField[];
  bytesRead: number;
  bytesTotal: number | null;
  firstDay: string | null;
  lastDay: string | null;
  startedAt: string;
  finishedAt: string | null;
  message: string;
}

/** Search terms of a window as columns; see core/terms for their meaning. */
export interface TermColumns {
  termId: number[];
  term: string[];
  adGroupId: number[];
  campaignId: number[];
  targetId: number[];
  targetCount: number[];
  impressions: number[];
  clicks: number[];
  spend: number[];
  orders: number[];
  units: number[];
  sales: number[];
}

/** Steps that go through search terms, and those that go through bids. */
export type StepName = 'harvest' | 'negatives';
export type BidStepName = 'dead' | 'over' | 'grow';
export type RoundStep = StepName | BidStepName;

/** A proposal that was put aside until a day. */
export interface PutAside {
  step: StepName;
  adGroupId: number;
  termId: number;
  verdict: 'left' | 'later';
  until: string;
}

/** Everything that a review of search terms needs. */
export interface ReviewData {
  account: AccountInfo;
  window: { from: string; to: string; unsettled: string[] };
  structure: Structure;
  /** What products leave of a sale before ads, shares; those whose costs are not known are not in it. */
  margins: { productId: number; share: number }[];
  /** Where sold terms move to. */
  routes: Route[];
  rows: TermColumns;
  putAside: PutAside[];
}

/** The figures that a change was decided on. */
export interface ChangeFigures {
  step?: RoundStep;
  termId?: number;
  term?: string;
  adGroupId?: number;
  /** The target that caught the term. */
  targetId?: number;
  from?: string;
  to?: string;
  clicks?: number;
  orders?: number;
  spend?: number;
  sales?: number;
  targetAcos?: number;
  /** How far the campaign's bids were held when this one was worked out, because it runs dry; 1: not at all. */
  held?: number;
}

export interface NewChange {
  change: Change;
  reason: string;
  figures: ChangeFigures;
  effect: { spend: number; sales: number };
  /** Index in the same request of the change that has to be accepted first. */
  after?: number;
}

export interface ChangeInfo {
  id: number;
  change: Change;
  state: ChangeState;
  /** Where it takes place: campaign and ad group. */
  campaignId: number | null;
  campaign: string;
  adGroupId: number | null;
  adGroup: string | null;
  /** What an archiving change ends, in words. */
  subject: string | null;
  /** What now stands where it sets something: micros, a share, a state; for what it made or ends, its state. */
  present: number | string | null;
  /** Whether the campaign, the ad group and the target that it stands in run. */
  runs: boolean;
  afterId: number | null;
  undoesId: number | null;
  reason: string;
  figures: ChangeFigures;
  effect: { spend: number; sales: number };
  baleId: number | null;
  answerCode: string | null;
  answer: string | null;
  /** Whether it can be undone: accepted, and not undone or being undone yet. */
  undoable: boolean;
  stagedAt: string;
  answeredAt: string | null;
}

/** Changes to be undone; `changed` says what to do where something else was set since. */
export interface UndoRequest {
  account: number;
  ids: number[];
  changed?: 'leave' | 'set-back';
}

/** What was staged to undo; or, when something else was set since and nothing was said of it, what that is. */
export interface UndoAnswer {
  ids: number[];
  changed: { id: number; what: string; where: string; present: number | string | null }[];
}

/** What an edited change file says differently from the tray. */
export type FileDifferences = ReadBack;

export interface BaleInfo {
  id: number;
  state: 'sending' | 'done';
  trouble: string;
  tries: number;
  sentAt: string;
  finishedAt: string | null;
  changes: number;
  accepted: number;
  refused: number;
}

/** The days of one term in one ad group. */
export interface TermDays {
  days: (Sums & { day: string })[];
}

/** Long work in the background. */
export interface JobInfo {
  id: number;
  kind: 'sync' | 'advance';
  state: 'waiting' | 'running' | 'done' | 'failed';
  /** What it is at, and how many steps of all are done. */
  doing: string;
  done: number;
  total: number;
  tries: number;
  /** What it came to, or why the last try failed. */
  message: string;
  askedAt: string;
  startedAt: string | null;
  finishedAt: string | null;
  nextTryAt: string;
}

/** What is here of one kind of report from the market. */
export interface ReportCoverage {
  kind: ReportKind;
  firstDay: string | null;
  lastDay: string | null;
  days: number;
  syncedAt: string | null;
  /** Days that should be here and are not. */
  missing: string[];
}

/** How up to date an account is. */
export interface SyncInfo {
  /** The latest, newest first. */
  jobs: JobInfo[];
  marketDay: string | null;
  unsettled: string[];
  reports: ReportCoverage[];
}

/** A product with its costs, what they leave, and what its ads did. Money in micros. */
export interface ProductInfo {
  id: number;
  itemCode: string;
  sku: string | null;
  name: string;
  lineId: number | null;
  line: string | null;
  marketPrice: number | null;
  /** Set by hand; null: not known, or for the price: the market's. */
  costs: ProductCosts;
  /** Costs without which there is no margin. */
  missing: string[];
  margin: { perUnit: number; share: number } | null;
  breakEven: BreakEven | null;
  /** The target ACOS that counts, and whose it is. */
  target: { acos: number | null; scope: Goal['scope']; kind: Goal['kind'] };
  sums: Sums & { totalSales: number | null };
  /** Profit after ads. */
  profit: number | null;
}

export interface ProductsAnswer {
  window: { from: string; to: string };
  products: ProductInfo[];
}

export interface GoalsAnswer {
  /** What counts where nothing else is set. */
  accountAcos: number;
  goals: (Goal & { name: string })[];
  scopes: { scope: Goal['scope']; id: number; name: string }[];
}

/** Sums of the field's rows over a window and the one before it, as columns of equal length. Money in micros. */
export interface FieldSumsAnswer {
  window: { from: string; to: string; unsettled: string[] };
  before: { from: string; to: string };
  /** Rows without a click that were left out because there are too many of them. */
  without: { rows: number; impressions: number };
  /** targetId, termId, campaignId, placement as the grain has them; impressions, impressionsBefore … */
  columns: Record<string, number[]>;
  /** Texts of the search terms, for the grain that has them. */
  terms: { id: number[]; text: string[] };
}

/** How every refusal of a request reads. */
export interface ErrorAnswer {
  error: { code: string; message: string; faults: { where: string; what: string }[] };
}
