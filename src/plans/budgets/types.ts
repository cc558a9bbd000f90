import type { BudgetProposal } from '../../core/budgets';
import type { CampaignRowsAsked } from '../campaigns';
import type { RoundSettings } from '../bids';

/** What is proposed for a campaign’s budget. */
export interface BudgetRow extends Omit<BudgetProposal, 'campaign'> {
  campaignId: number;
  /** What the market has; the plan starts from what the tray makes of it. */
  stands: number | null;
}

/** What is proposed for campaigns, and what all of it comes to. Micros. */
export interface BudgetsPlan {
  rows: BudgetRow[];
  /** Sum of the daily budgets that can move, now and proposed, and what it may come to; a day. */
  total: { before: number; after: number; limit: number };
  /** What a month is expected to change by, with the 80 % interval of the sales. */
  gain: { spend: number; sales: number; low: number; high: number };
  /** Below 1, bids are held by the money. */
  share: number;
  /** Whether it is said what the money is for; until then nothing is proposed. */
  isAsked: boolean;
}

/** Settings of the plan, and budgets that were set by hand. */
export interface BudgetSettings {
  settings: RoundSettings;
  locks: [campaignId: number, budget: number][];
}

export interface BudgetsAsked extends CampaignRowsAsked, BudgetSettings {}
