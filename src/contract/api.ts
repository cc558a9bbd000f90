// What the pages and scripts get from the server, and send to it. Money in micros unless a name says otherwise.
import type { Right } from './people';
import type { Numbers } from '../core/order';
import type { PlanChoices } from './choices';
import type { MarketOptions } from './market';
import type { BreakEven, ProductCosts } from '../core/economics';
import type { Goal } from '../core/goals';
import type { ImportKind, ReportField, ReportKind } from './reportFields';
import type { ChangeState, MarketLimits } from '../core/changes';
import type { Sums } from '../core/measures';
import type { ComparedWindow, SettledWindow, Window } from '../core/windows';

export type { ChangeState };

/** Which state of an account is the newest. */
export interface RevisionAnswer {
  revision: number;
  /** Another one when what is staged is. */
  tray: string;
}

export interface AccountInfo {
  id: number;
  name: string;
  currency: string;
  /** What whoever asks may do on it. */
  rights: readonly Right[];
  /** Share, for instance 0.24. */
  targetAcos: number;
  /** In which its days and due times are. */
  timezone: string;
  /** Raised with new figures, entities and accepted changes. */
  revision: number;
  /** Whether changes can be sent: false for accounts that are fed by files alone. */
  connected: boolean;
  /** The account's present day. */
  today: string;
  firstDay: string | null;
  lastDay: string | null;
  /** Days whose figures came summed: nothing is known of one of them alone. */
  sums: Window[];
  /** What the account's market accepts. */
  limits: MarketLimits;
  /** What the market lets the account do; null for accounts fed by files. */
  options: MarketOptions | null;
  /** Prepaid money left, micros; null where the market bills afterwards. */
  funds: number | null;
  /** What its plans go by. */
  choices: PlanChoices;
}

export interface NewAccount {
  name: string;
  currency: string;
  /** Share. */
  targetAcos: number;
  /** As the tz database names it; left out: the machine's. */
  timezone?: string;
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
  /** Headings whose columns were not read, although nobody chose to leave them out. */
  unread: string[];
  /** What can be read in two ways, each with a value that shows it; null where it is sure. */
  asks: { decimals: string | null; dayOrder: string | null };
  /** Fields that several columns could be. */
  several: { field: string; headings: string[] }[];
  /** Sums over the readable rows of the file, and over those that are here now; counts, or micros. */
  sums: { field: string; file: number; kept: number }[];
  /** The first lines of the file, cells shortened; empty in lists of imports. */
  firstLines: string[][];
  /** Which of them holds the headings, from 1. */
  headingLine: number | null;
  /** Whether the file tells no days, so that they may be said for it: it sums up a period. */
  asksPeriod: boolean;
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

/** Days of a report whose figures came summed: nothing is known of one of them alone. */
export interface SummedInfo {
  kind: ReportKind;
  from: string;
  to: string;
}

/** Long work in the background. */
export interface JobInfo {
  id: number;
  /** sync, advance … */
  kind: string;
  state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
  /** Who asked for it. */
  by: string;
  /** It stops before its next step. */
  cancelAsked: boolean;
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
  window: SettledWindow;
  before: ComparedWindow;
  /** Whether terms without a click were left out because there are too many of them. */
  isCut: boolean;
  /** targetId, adGroupId, termId, campaignId, placement as the grain has them; impressions, impressionsBefore … */
  columns: Record<string, Numbers>;
  /** All sales of products over the window, with ads or without; null where not all its days are known. */
  totals: { id: Numbers; sales: Numbers } | null;
  /** Texts of the search terms and the days since 1970 on which they were first seen, for the grain that has them. */
  terms: { id: Numbers; first: Numbers; text: string[] };
}

/** How every refusal of a request reads. */
export interface ErrorAnswer {
  error: { code: string; message: string; faults: { where: string; what: string }[] };
}

/** How the application and what it stands on are. */
export interface Health {
  ok: boolean;
  version: string;
  database: 'ok' | 'down';
  market: 'ok' | 'down';
  /** Room on the disk of the data folder; null: not known. */
  freeMegabytes: number | null;
  /** When the last nightly backup was made; null: there is none in the data folder. */
  lastBackup: string | null;
  /** What will be in want soon, in sentences. */
  warnings: string[];
}
