import type { NumberKey, SortOrder, Stack } from '../../core/conditions';
import type { BidSettings } from '../../core/bids';
import type { ComparedWindow } from '../../core/windows';
import type {
  CrossTab,
  Dimension,
  LensName,
  LensScope,
  LensTable,
  Movers,
  Ranking,
  ScopeKind,
  Spread,
  StandingSum,
} from '../../core/lenses';
import type { MovedBy } from './movedBy';
import type { AcosChange, Sums } from '../../core/measures';

/** What the page gets once a lens is loaded: the rows by number are those of this load alone. */
export interface LoadedLens {
  loadId: number;
  window: { from: string; to: string; unsettled: string[] };
  before: ComparedWindow;
  /** Whether terms without a click were left out because there are too many. */
  isCut: boolean;
  table: LensTable;
}

/** Which rows are asked for, and in what order. */
export interface RowsAsked {
  scope: LensScope | null;
  stack: Stack;
  sorts: SortOrder[];
  /** Of whose targets, and at which settings, the round's judgement is asked for; null: it is not. */
  judge: { account: number; version: { revision: number; targetAcos: number }; settings: BidSettings } | null;
}

/** Rows with what they come to. */
export interface ArrangedRows {
  loadId: number;
  rows: Int32Array;
  /** Tells one set of rows from another, whatever their order. */
  set: string;
  /** Rows in the scope, before conditions. */
  inScope: number;
  now: Sums;
  before: Sums;
  standings: StandingSum[];
  path: { scope: LensScope; name: string }[];
}

export type PictureAsked =
  | { kind: 'bars'; measure: NumberKey; most: number; isAdditive: boolean }
  | { kind: 'histogram'; measure: NumberKey };

export type PictureAnswer = { kind: 'bars'; ranking: Ranking } | { kind: 'histogram'; spread: Spread };

/** Where else the term, keyword or item of a row runs. */
export interface ElsewhereRow {
  row: number;
  place: string;
  kind: string;
  clicks: number;
  orders: number;
}

export type { CrossTab, Dimension, LensName, Movers, ScopeKind };

/** What "find or do" finds. */
export interface Found {
  kind: 'campaign' | 'ad group' | 'product' | 'keyword' | 'target' | 'search term';
  name: string;
  place: string;
  scope: LensScope | null;
  /** For search terms: the text to look for. */
  term?: string;
}

/** Totals of the account for the overview, by parts that its targets tell. */
export interface OverviewParts {
  now: Sums;
  before: Sums;
  /** Whether the data cover the window before; nothing is compared with it else. */
  isBeforeCovered: boolean;
  /** Automatic targets against those chosen by hand. */
  auto: { now: Sums; before: Sums };
  manual: { now: Sums; before: Sums };
  standings: StandingSum[];
  moved: Record<'spend' | 'sales', MovedBy>;
  /** What moved the ACOS, by campaigns; null where the window before is not covered, or sold nothing. */
  acosChange: AcosChange | null;
  /** Weighted by sales; null without any. */
  targetAcos: number | null;
}
