// What is asked of an account's bids, and at which settings. Money in micros.
import type { BidSettings, TestCap } from '../core/bids';
import type { MarketLimits } from '../core/changes';
import type { Goal } from '../core/goals';
import type { PlacementBounds } from '../core/placements';
import type { Micros } from '../core/units';
import type { MoneyChoices } from './choices';

/**
 * Modifiers and budgets that are in the tray or under way, and the base bids that were set with the modifiers, by id: the bids of the round start from there, so
 * that both are one plan. Bids that were decided on by themselves are not among them.
 */
export interface AheadIds {
  bids: [targetId: number, to: Micros][];
  modifiers: [campaignId: number, placement: number, to: number][];
  budgets: [campaignId: number, to: Micros][];
  /** What schedules make of a month's spend and sales: times this. */
  schedules: [campaignId: number, spend: number, sales: number][];
}

/** Settings of a round, with what is decided already, and what the money is for. */
export type RoundSettings = BidSettings & {
  ahead?: AheadIds;
  money?: MoneyChoices;
  /** Parts of the account whose tests have a cap of their own. */
  testCaps?: readonly TestCap[];
  budgetLimits?: Pick<MarketLimits, 'minBudget' | 'maxBudget' | 'bidStep'>;
};

/** What each question about bids is asked with. */
export interface BidsAskedWith {
  /** A bid for every target. */
  plan: { settings: RoundSettings };
  /** The same for whoever has a plan already. @param known its base: of one on the same base only the columns that may differ are told */
  planFrom: { settings: RoundSettings; known: string };
  /** What another target ACOS of the account would do. */
  target: { settings: RoundSettings; acos: number };
  /** What a target of its own would do to a line, product, campaign or ad group. */
  goal: { settings: RoundSettings; goal: Goal };
  /** The wanted bids of some targets, whatever their step. */
  wanted: { settings: RoundSettings; targetIds: number[] };
  /** What sets the price of a click. */
  price: object;
  /** Modifiers for every campaign. @param bounds what else holds for campaigns */
  placements: { settings: BidSettings; bounds?: [campaignId: number, bounds: PlacementBounds][] };
  /** A budget for every campaign. @param locks those that were set by hand */
  budgets: { settings: RoundSettings; locks: [campaignId: number, budget: Micros][] };
  /** Who takes whose money in a campaign. */
  shares: { campaignId: number; minBudget: Micros };
}
export type BidQuestion = keyof BidsAskedWith;

/** A question as it is sent. */
export type BidsRequest<Q extends BidQuestion> = { account: number } & BidsAskedWith[Q];
