// Growth plans of products: what they stand at, and what is asked about them. Money in micros.
import type { GrowthForecast, Stage } from '../core/growth';
import type { RuleInfo } from './rules';

export type { GrowthForecast, Stage };

/** A campaign of a plan. Spend, orders and sales of the settled days in its stage, 28 at most. */
export interface GrowthMember {
  id: number;
  name: string;
  stage: Stage;
  since: string;
  /** Whether the plan made it; else it was taken in, and came with a budget. */
  isMade: boolean;
  cameWith: number | null;
  state: string;
  isRunning: boolean;
  budget: number;
  need: number | null;
  days: number;
  spend: number;
  orders: number;
  sales: number;
  reason: string;
}

/** A campaign of the product that no plan has. */
export interface FreeCampaign {
  id: number;
  name: string;
  budget: number;
  /** The stage that its targets fit. */
  stage: Stage;
}

/** A day of a stage. */
export interface StageDay {
  day: string;
  stage: Stage;
  spend: number;
  orders: number;
  sales: number;
}

/** Something that a plan did: a change, or a step of a campaign to another stage. */
export interface GrowthStep {
  day: string;
  what: string;
  reason: string;
  /** Of a change: what became of it. */
  state: string | null;
}

export interface GrowthInfo {
  info: RuleInfo;
  product: string;
  /** Left of a price before ads, share; null: not known. */
  margin: number | null;
  /** ACOS that is aimed at, shares. */
  range: { low: number; high: number };
  members: GrowthMember[];
  mayTakeIn: FreeCampaign[];
  /** What its running campaigns may spend a day together, and what is free of the total. */
  money: { now: number; free: number; find: number };
  days: StageDay[];
  settled: string;
  /** What it would do tonight, and what waits for what. */
  tonight: { name: string; place: string; words: string; reason: string }[];
  waits: string[];
  forecast: GrowthForecast;
  /** What it did, the last first. */
  steps: GrowthStep[];
}

export interface GrowthAnswer {
  plans: { info: RuleInfo; product: string; campaigns: number }[];
  /** Products that a plan can be for: those that have none. */
  products: { id: number; name: string }[];
}

export interface NewGrowthRequest {
  account: number;
  productId: number;
}

/** Takes campaigns in, moves them to a stage, or gives them back (null). */
export interface GrowthCampaignsRequest {
  account: number;
  id: number;
  campaigns: { campaignId: number; stage: Stage | null }[];
}
