// The choices that shape what an account is proposed: kept with the account, so that pages, scripts and nights propose the same.
import { USUAL_CHOICES } from '../core/bids';
import type { BidChoices } from '../core/bids';
import { NO_GUIDES } from '../core/lenses';
import type { Guides } from '../core/lenses';
import type { BlockAsks } from '../core/negatives';
import { USUAL_TERM_ASKS } from '../core/terms';

/** From when on a search term is proposed, whatever the target. Shares; money in micros. */
export interface TermChoices {
  /** Judged by probability, or by plain counts. */
  basis: 'chance' | 'counts';
  minOrders: number;
  /** Null: the account's target. */
  maxAcos: number | null;
  /** Of a harvest. */
  surety: number;
  clicksMultiple: number;
  /** Of a negative. */
  chance: number;
  /** Of a negative in the window. */
  leastSpend: number;
  /** Ad groups whose negatives ask for something of their own, by their id. */
  bySource: Record<number, BlockAsks>;
}

/** What the money of an account is for. Micros. */
export interface MoneyChoices {
  /** What the total of daily budgets means: it stays, or so much may be spent a month; null: not asked yet. */
  means: 'sum stays' | 'money' | null;
  /** What may be spent a month; null: not said. */
  month: number | null;
  /** So many times a day's money budgets may come to. */
  over: number;
  /** Campaigns that spend so much a day by their bids, under a budget that stands high above it. */
  byBids: SpendByBids[];
}

/** What a campaign may spend a day, micros, held by its bids. */
export interface SpendByBids {
  campaignId: number;
  perDay: number;
}

export interface PlanChoices {
  bids: BidChoices;
  terms: TermChoices;
  money: MoneyChoices;
  /** From when on a CTR, or impressions a day, are low or high. */
  guides: Guides;
}

/** What counts until something else is chosen. */
export const USUAL_PLAN_CHOICES: PlanChoices = {
  bids: USUAL_CHOICES,
  terms: {
    ...USUAL_TERM_ASKS,
    maxAcos: null,
    bySource: {},
  },
  money: { means: null, month: null, over: 1.25, byBids: [] },
  guides: NO_GUIDES,
};

/** Some choices that are changed. The wide first step is for once and is never kept. */
export interface ChoicesRequest {
  account: number;
  bids?: Partial<BidChoices>;
  terms?: Partial<TermChoices>;
  money?: Partial<MoneyChoices>;
  guides?: Partial<Guides>;
}

/** The choices that count, and whether a change of them can be taken back. */
export interface ChoicesAnswer {
  choices: PlanChoices;
  canTakeBack: boolean;
}
