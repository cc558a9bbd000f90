import type { MarketLimits } from '../changes';
import type { Rule } from '../rules';
import type { KeywordMatch } from '../matching';
import type { Placement } from '../structure';
import type { Micros } from '../units';

/** What a part of an account is like, so that a market like it can be played. Money in micros. */
export interface PlayLike {
  products: number;
  /** Of a product. */
  targets: number;
  price: Micros;
  /** Clicks a day of a product, and orders of a click. */
  clicksPerDay: number;
  conversion: number;
  /** Share. */
  targetAcos: number;
  limits: MarketLimits;
  matches: KeywordMatch[];
  modifiers: Placement[];
  autoGroups: string[];
}

/** A week of something that was played, with the orders that come in later. Money in micros. */
export interface PlayedWeek {
  spend: Micros;
  sales: Micros;
}

/** What was played: by market, week by week, with what is tried and without it. */
export interface PlayedMarkets {
  with: PlayedWeek[][];
  without: PlayedWeek[][];
}

/** A figure over several markets: its middle, and between which eight of ten lie. */
export interface Spread {
  mean: number;
  low: number;
  high: number;
}

/** What is told of a week, or of all weeks together. Money in micros; profit after ads null where the margin is not known. */
export interface PlayedSums {
  spend: Spread;
  sales: Spread;
  /** Share, of the sums of all markets; null without sales. */
  acos: number | null;
  profit: Spread | null;
}

/** What playing came to. */
export interface PlayedTold {
  markets: number;
  weeks: number;
  byWeek: { with: PlayedSums; without: PlayedSums }[];
  all: { with: PlayedSums; without: PlayedSums };
  /** What it makes of sales and profit after ads, market by market: in micros, all weeks together. */
  gained: { sales: Spread; profit: Spread | null };
  /** Markets on which the profit (or, without a margin, the sales) was better with it. */
  better: number;
  /** What the market that was played is like, against what was asked for. */
  like: { clicksPerDay: number; conversion: number };
}

/** What is asked of a play. */
export interface PlayAsked {
  rule: Rule;
  like: PlayLike;
  weeks: number;
  markets: number;
  margin: number | null;
  /** Of a growth plan: whether its product has no campaigns yet. */
  isNew: boolean;
}

/** What a play told, with the moves of a growth plan on the first market, by the day from 1. */
export type PlayTold = PlayedTold & { moves: { day: number; words: string }[] };

/** A line of a play: how far it is, or what it came to. */
export type PlayLine = { done: number; of: number } | { told: PlayTold };
