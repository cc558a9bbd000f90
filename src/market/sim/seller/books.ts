import type { KeywordMatch } from '../../../core/matching';
import type { Placement, Refinement } from '../../../core/structure';

// What a seller has set up, as the market keeps it. Ids are the market's; money in micros; percentages are shares.

export type State = 'enabled' | 'paused' | 'archived';

export interface SimCampaign {
  id: string;
  name: string;
  state: State;
  /** A day's budget, or that of the campaign's whole life. */
  budget: number;
  budgetKind: 'daily' | 'lifetime';
  /** even: spread over the day; fast: spent as soon as it can be. */
  pacing: 'even' | 'fast';
  /** Whether the market may move bids by itself: never, down only where a sale is unlikely, both ways. */
  flex: 'fixed' | 'down only' | 'both ways';
  /** Whether it also stands in searches for similar categories. */
  similar: 'on' | 'off';
  startsOn: string;
  endsOn: string | null;
  /** Raise of the bid at each placement: 0.5 = half more. */
  modifiers: Record<Placement, number>;
}

export interface SimAdGroup {
  id: string;
  campaignId: string;
  name: string;
  state: State;
  defaultBid: number;
  /** A part of the campaign's budget, and days of its own; null: the campaign's. */
  budget: number | null;
  startsOn: string | null;
  endsOn: string | null;
}

export interface SimAd {
  id: string;
  adGroupId: string;
  productId: string;
  /** Shown in turn in place of the product's own; none: its own. Pictures by their ids. */
  titles: string[];
  pictures: string[];
  state: State;
}

export type TargetKind = 'keyword' | 'item' | 'category' | 'brand' | 'auto';

export interface SimTarget {
  id: string;
  adGroupId: string;
  kind: TargetKind;
  /** Null for everything but keywords. */
  match: KeywordMatch | null;
  /** The keyword, item code, line id, brand, or automatic group. */
  expression: string;
  refine: Refinement | null;
  /** Null: the ad group's default bid. */
  bid: number | null;
  state: State;
}

export interface SimNegative {
  id: string;
  campaignId: string;
  /** Null: holds in the whole campaign. */
  adGroupId: string | null;
  match: 'exact' | 'phrase' | 'item';
  expression: string;
  state: 'enabled' | 'archived';
}

/** Bids raised or lowered by hour of the week, whole percents: weekday x 24 + hour, Monday first; -100 is off. */
export interface SimSchedule {
  id: string;
  campaignId: string;
  name: string;
  week: readonly number[];
  state: 'enabled' | 'archived';
}

/** Everything that a seller can change. */
export interface Books {
  campaigns: SimCampaign[];
  adGroups: SimAdGroup[];
  ads: SimAd[];
  targets: SimTarget[];
  negatives: SimNegative[];
  schedules: SimSchedule[];
}

/** The four automatic target groups of this market. */
export const AUTO_GROUPS = ['near searches', 'wide searches', 'rival items', 'companion items'] as const;
export type AutoGroup = (typeof AUTO_GROUPS)[number];
