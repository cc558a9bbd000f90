// What a review of search terms gets from the server. Money in micros.
import type { Numbers } from '../core/order';
import type { SettledWindow } from '../core/windows';
import type { Sums } from '../core/measures';
import type { NegativeList } from '../core/negatives';
import type { Route } from '../core/routes';
import type { Structure, TargetColumns } from '../core/structure';
import type { WordLists } from '../core/matching';
import type { AccountInfo } from './api';

/** Search terms of a window as columns; see core/terms for their meaning. */
export interface TermColumns {
  termId: Numbers;
  term: string[];
  adGroupId: Numbers;
  campaignId: Numbers;
  targetId: Numbers;
  targetCount: Numbers;
  /** Days with a click; the first day ever seen, in days since 1970 (0: not known). */
  days: Numbers;
  firstDay: Numbers;
  impressions: Numbers;
  clicks: Numbers;
  spend: Numbers;
  orders: Numbers;
  units: Numbers;
  sales: Numbers;
  /** Over all settled days that count for estimates, and of the last 30, 60 and 90 of them. */
  allClicks: Numbers;
  allSpend: Numbers;
  allOrders: Numbers;
  allSales: Numbers;
  spend30: Numbers;
  sales30: Numbers;
  spend60: Numbers;
  sales60: Numbers;
  spend90: Numbers;
  sales90: Numbers;
}

/** Steps that go through search terms, and those that go through bids. */
export const TERM_STEPS = ['harvest', 'negatives'] as const;
export type StepName = (typeof TERM_STEPS)[number];

export const BID_STEP_NAMES = ['dead', 'over', 'grow'] as const;
export type BidStepName = (typeof BID_STEP_NAMES)[number];

/** The queues of proposed bids: one to a step, and the tests beside the raises that are proven. */
export const BID_QUEUES = [...BID_STEP_NAMES, 'test'] as const;
export type BidQueue = (typeof BID_QUEUES)[number];

export const isBidQueue = (step: string): step is BidQueue =>
  (BID_QUEUES as readonly string[]).includes(step);

/** The step that shows a queue. */
export const stepOfQueue = (queue: BidQueue): BidStepName => (queue === 'test' ? 'grow' : queue);

/** Steps that go through campaigns. */
export const CAMPAIGN_STEPS = ['placements', 'budgets', 'hours'] as const;
export type CampaignStep = (typeof CAMPAIGN_STEPS)[number];

export type RoundStep = StepName | BidQueue | CampaignStep;

export const isTermStep = (step: string): step is StepName =>
  (TERM_STEPS as readonly string[]).includes(step);
export const isCampaignStep = (step: string): step is CampaignStep =>
  (CAMPAIGN_STEPS as readonly string[]).includes(step);
export const isBidStep = (step: string): step is BidStepName =>
  (BID_STEP_NAMES as readonly string[]).includes(step);

/** Everything that a review of search terms needs. */
export interface ReviewData {
  account: AccountInfo;
  window: SettledWindow;
  /** How many settled days count for estimates. */
  historyDays: number;
  structure: Structure;
  /** What products leave of a sale before ads, shares; those whose costs are not known are not in it. */
  margins: { productId: number; share: number }[];
  /** Where sold terms move to. */
  routes: Route[];
  /** Words that tell brands, and what is never wanted. */
  lists: WordLists;
  rows: TermColumns;
  /** Whether terms without a click were left out because there are too many. */
  isCut: boolean;
  /** Named lists of negatives that are kept over many campaigns. */
  negativeLists: NegativeList[];
}

/** The same whose targets are columns. */
export type ReviewColumns = Omit<ReviewData, 'structure'> & {
  structure: Omit<Structure, 'targets'> & { targets: TargetColumns };
};

/** The days of one term in one ad group. */
export interface TermDays {
  days: (Sums & { day: string })[];
}
