import type { Micros } from '../units';

/** What a campaign of a growth plan is there for: to find what sells, to bring its bids to the target, to get the money that sells most. */
export const STAGES = ['find', 'tune', 'grow'] as const;
export type Stage = (typeof STAGES)[number];

/** How a product is grown within a daily budget. Money in micros, shares of 1. */
export interface GrowthPlan {
  /** A day, all its campaigns together: no move goes beyond it. */
  total: Micros;
  find: {
    isOn: boolean;
    /** Whether the market's automatic groups look for terms and items. */
    automatic: boolean;
    /** Terms of one's own to begin with, and whether those join that sold in other campaigns of the product. */
    terms: string[];
    others: boolean;
    /** First bid of everything that is tried. */
    bid: Micros;
    /** Of the total, and no more than so much a day; null: no cap. */
    share: number;
    cap: Micros | null;
    /** What something gets before it is given up: so much spend, and so many days. */
    chance: { spend: Micros; days: number };
  };
  tune: {
    isOn: boolean;
    /** Orders at which a search term moves up from the first stage. */
    orders: number;
  };
  grow: { isOn: boolean };
}

export const USUAL_GROWTH: GrowthPlan = {
  total: 30_000_000,
  find: {
    isOn: true,
    automatic: true,
    terms: [],
    others: true,
    bid: 500_000,
    share: 0.4,
    cap: null,
    chance: { spend: 8_000_000, days: 14 },
  },
  tune: { isOn: true, orders: 2 },
  grow: { isOn: true },
};

/** A campaign of a plan as it stands. Money in micros; budget and need a day. */
export interface GrowthCampaign {
  id: number;
  name: string;
  stage: Stage;
  /** As the market has it, or what the tray raises it to. */
  budget: Micros;
  /** Whether it spends: it runs, and something in it does. */
  isRunning: boolean;
  /** Whether its budget could be spent: it is on, or on its way to be made. What is idle may run tomorrow. */
  isCounted: boolean;
  /** Whether it is not made yet: its budget cannot be moved. */
  isDraft: boolean;
  /** What its clicks need at the bids that the target allows; null: not known yet. */
  need: Micros | null;
  /** Settled days that it has been in its stage for, 28 at most, and what came of them. */
  days: number;
  spend: Micros;
  orders: number;
  sales: Micros;
}
