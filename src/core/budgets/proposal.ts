import type { Month } from '../bids';
import type { Micros } from '../units';
import type { MissedSales } from './missedSales';
import type { DryDay } from './ranDry';

/**
 * What a total of budgets means. Its sum stays: budgets move among campaigns, to the cent. Money: so much may be spent a day on average,
 * and budgets may come to `over` times that, while bids hold what is expected at the goal. Micros a day.
 */
export type BudgetTotal =
  | { means: 'sum stays'; sum: Micros }
  | { means: 'money'; daily: Micros; goal: Micros; over: number };

/** Why a budget is left as it is; null: it is not. */
export type BudgetLeft = 'not running' | 'no daily budget' | 'no clicks' | 'as needed' | null;

/** What is proposed for a campaign's budget, with everything it was decided on. Money in micros, a day unless told otherwise. */
export interface BudgetProposal {
  campaign: number;
  left: BudgetLeft;
  from: Micros | null;
  to: Micros | null;
  /** What it needs so as to be stopped seldom. */
  need: Micros;
  isLocked: boolean;
  /** What it may spend a day by its bids, under a budget that stands high above it; null: its budget holds it. */
  byBids: Micros | null;
  /** What its clicks would cost a day with money enough: as far as the plan counts on it, at the bids that it goes with; and all of them at its present bids. */
  demand: Micros;
  spend: Micros;
  cpc: Micros;
  /** Sales per click. */
  rpc: Micros;
  /** Days with hours of the last 28, and those of them that ran dry. */
  days: number;
  dry: DryDay[];
  missed: MissedSales;
  /** Whether it missed at least so much, and how much more cannot be told. */
  isLeast: boolean;
  /** Times that the days looked at go into a month. */
  perMonth: number;
  /** What a month comes to with the present and the proposed budget, at present bids. */
  now: Month;
  after: Month;
}

export interface BudgetPlan {
  proposals: BudgetProposal[];
  /** Sum of the budgets that can move, and what it may come to. */
  total: { before: Micros; after: Micros; limit: Micros };
  /** Share of the multiplier that targets allow at which the money is enough for all: below 1, bids are held by the money. */
  share: number;
  /** By scope, the multiplier that bids go no higher than. */
  multiplier: number[];
}
