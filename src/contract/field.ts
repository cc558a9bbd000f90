// What the field and the overview get from the server, and send to it. Money in micros.
import type { Change } from '../core/changes';
import type { KeywordMatch } from '../core/matching';
import type { LensName, PeriodStep } from '../core/lenses';
import type { Sums } from '../core/measures';
import type { AccountTree, TargetColumns } from '../core/structure';
import type { ComparedWindow, SettledWindow } from '../core/windows';

/** An account's tree whose targets are columns. */
export type AccountTreeColumns = Omit<AccountTree, 'targets'> & { targets: TargetColumns };

/** Rows of a lens: ids of targets, campaigns, ad groups or products; `parts` are their terms, or placements (0-2). */
export interface RowsRequest {
  account: number;
  lens: LensName;
  ids: number[];
  parts: number[];
  from: string;
  to: string;
}

/** Days of some rows together; days without figures are left out. */
/** How much was changed on a day; the change itself where it was the only one. */
export interface ChangeDay {
  day: string;
  count: number;
  change: Change | null;
}

export interface RowDaysAnswer {
  days: (Sums & { day: string })[];
  /** Accepted changes of these rows alone. */
  changes: ChangeDay[];
}

/** Rows of a lens by week or month, or cut by both. */
export interface PeriodsRequest extends RowsRequest {
  steps: PeriodStep[];
}

/** What rows came to by period, as columns: place of the row in the request (from 1), first day of the period, figures. */
export type RowPeriodColumns = { n: number[]; start: string[] } & Record<keyof Sums, number[]>;

/** Spend of each row, day by day from `from` to `to`. */
export interface SparksAnswer {
  spend: number[][];
}

/** An accepted change, on the account's day of its answer. */
export interface HistoryAnswer {
  changes: {
    id: number;
    day: string;
    change: Change;
    /** The target or ad group that it was done to; null for others. */
    subject: string | null;
    reason: string;
    baleId: number | null;
  }[];
}

/** A stack of conditions kept by name, as in a link. */
export interface Swath {
  id: number;
  name: string;
  lens: LensName;
  conditions: string[];
  sort: string;
  /** Its window, in days or in words ("last60" to "settled"); null: the usual one. */
  from: string | null;
  to: string | null;
}

export interface Note {
  id: number;
  text: string;
  day: string;
}

/** The market's suggestion for a target's bid; null where it knows nothing like it. */
export interface SuggestionsAnswer {
  bids: ({ low: number; bid: number; high: number } | null)[];
}

/** What is to be reached in a month; null where nothing is set. */
export interface MonthGoal {
  /** First day of the month. */
  month: string;
  sales: number | null;
  spend: number | null;
}

/** A day with its ad figures and all sales; null where all sales are not known. */
export type OverviewDay = Sums & { day: string; totalSales: number | null };

/** The whole account over a window and the one before it, beyond what its targets tell. Money in micros. */
export interface OverviewAnswer {
  window: SettledWindow;
  before: ComparedWindow;
  /** Every day from the start of the window before to the last with data, and of the present month. */
  days: OverviewDay[];
  /** Profit after ads of products whose costs are known (null: of none), and the ad sales of those whose costs are not. */
  profit: { now: number | null; before: number | null; unknownSales: number };
  /** The month of the last day with data. */
  month: { goal: MonthGoal | null; lastDay: string };
  /** Every accepted change since the start of the window before, by day. */
  changes: ChangeDay[];
  /** Days that the market left out. */
  missing: { report: string; days: string[] }[];
}

/** A target that is not there yet, as the market is asked what to bid on it. */
export interface NewTarget {
  /** The ad group that it goes into, or the product that a new one will advertise. */
  adGroupId?: number;
  productId?: number;
  kind: 'keyword' | 'item' | 'auto' | 'category' | 'brand';
  match: KeywordMatch | null;
  expression: string;
}
