// What the port to a market speaks: the shapes of a market's entities, changes, reports and answers. Money in micros;
// percentages are shares.
import type { MarketChange, MarketLimits, OwnKind } from '../core/changes';
import type { KeywordMatch, NegativeMatch } from '../core/matching';
import type { Placement, State } from '../core/structure';

/** What a market lets an account do. */
export interface MarketOptions {
  /** Targets on items, categories and brands. */
  productTargets: boolean;
  /** Broad and phrase keywords. */
  looseKeywords: boolean;
  /** Placements whose bids can be raised. */
  modifiers: Placement[];
  schedules: boolean;
  /** Whether the market may move bids by itself. */
  bidFlex: boolean;
}

export interface MarketAccount {
  id: string;
  name: string;
  currency: string;
  /** The market's present day, and the first it has reports of. */
  today: string;
  firstDay: string;
  targetAcos: number;
  /** In which its days begin, as the tz database names it. */
  timeZone: string;
  limits: MarketLimits;
  options: MarketOptions;
  /** Prepaid money left; null where the market bills afterwards. */
  funds: number | null;
}

export interface MarketLine {
  id: string;
  name: string;
}

export interface MarketProduct {
  id: string;
  lineId: string;
  itemCode: string;
  sku: string;
  name: string;
  price: number;
}

export interface MarketCampaign {
  id: string;
  name: string;
  state: State;
  budget: number;
  budgetKind: 'daily' | 'lifetime';
  pacing: 'even' | 'fast';
  flex: 'fixed' | 'down only' | 'both ways';
  startsOn: string;
  endsOn: string | null;
  top: number;
  rest: number;
  pages: number;
}

export interface MarketAdGroup {
  id: string;
  campaignId: string;
  name: string;
  state: State;
  defaultBid: number;
}

export interface MarketAd {
  id: string;
  adGroupId: string;
  productId: string;
  state: State;
}

/** Which items of a category or brand are meant; prices in micros, rating in stars. */
export interface Refinement {
  minPrice?: number;
  maxPrice?: number;
  minRating?: number;
}

export interface MarketTarget {
  id: string;
  adGroupId: string;
  kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
  match: KeywordMatch | null;
  expression: string;
  refine: Refinement | null;
  /** Null: the ad group's default bid. */
  bid: number | null;
  state: State;
}

export interface MarketNegative {
  id: string;
  campaignId: string;
  adGroupId: string | null;
  match: NegativeMatch;
  expression: string;
  state: 'enabled' | 'archived';
}

export interface MarketSchedule {
  id: string;
  campaignId: string;
  /** 0 Monday to 6 Sunday. */
  weekday: number;
  fromHour: number;
  toHour: number;
  /** Share; -1 = off. */
  change: number;
  state: 'enabled' | 'archived';
}

/** Entities by the word under which a market lists them. */
export interface MarketEntities {
  lines: MarketLine;
  products: MarketProduct;
  campaigns: MarketCampaign;
  'ad-groups': MarketAdGroup;
  ads: MarketAd;
  targets: MarketTarget;
  negatives: MarketNegative;
  schedules: MarketSchedule;
}

export type EntityKind = keyof MarketEntities;

export type { MarketChange, OwnKind };

/** The market's answer to one change. */
export interface MarketAnswer {
  ref: string;
  accepted: boolean;
  /** Why it was refused: a closed code, and a sentence for the user. */
  code: string | null;
  sentence: string | null;
  /** Id of what was made or changed. */
  id: string | null;
}

/** Kinds of reports that a market makes. */
export type MarketReportKind =
  'terms' | 'targets' | 'placements' | 'target-placements' | 'hours' | 'sales' | 'ranks';

/** A report that was asked for. */
export interface MarketReport {
  id: string;
  state: 'waiting' | 'making' | 'ready' | 'failed';
  /** When it is ready: the market's day on which it was made, the days it holds whole, and its rows. */
  madeOn: string | null;
  days: string[];
  rows: number;
  sentence: string | null;
}

/** What the market suggests to bid on a target. */
export interface BidSuggestion {
  low: number;
  bid: number;
  high: number;
}

/** A search term or item code that the market suggests as a target. */
export interface TargetSuggestion {
  kind: 'keyword' | 'item';
  expression: string;
  weeklySearches: number;
}
