import type { CampaignFields } from '../changes';
import type { KeywordMatch } from '../matching';
import type { Listing, Refinement } from '../structure';
import type { Micros } from '../units';
import type { PartName } from './parts';

/** A part of a plan: whether it is made, with which bid, and whether it is to stand without targets. */
export interface PartPlan {
  isOn: boolean;
  /** Made without targets, on purpose. */
  isEmpty: boolean;
  /** For those of its targets that have none of their own, micros. */
  bid: Micros;
}

/** A search term to bid on, once for each of its match types. */
export interface PlanTerm {
  text: string;
  matches: KeywordMatch[];
  /** By match type, micros; the part's bid where one is missing. */
  bids: Partial<Record<KeywordMatch, Micros>>;
  /** The exact campaign that it was launched in, by key: it stays there whatever is added or taken out. */
  home?: string;
}

/** An item to bid on: a rival's, or one of our own that is defended. */
export interface PlanItem {
  code: string;
  isOwn: boolean;
  /** Micros; null: the part's bid. */
  bid: Micros | null;
}

/** A category or brand to bid on, all of it or some of its items. */
export interface PlanRefined {
  aim: 'category' | 'brand';
  name: string;
  refine: Refinement | null;
  /** The own price and rating that it was refined against. */
  against: Listing | null;
  bid: Micros | null;
}

/** One of the market's automatic groups. */
export interface PlanGroup {
  name: string;
  isOn: boolean;
  bid: Micros | null;
}

/** Which products belong to a set, by rule; null bounds hold for all. Prices in micros, the others as shares or pieces. */
export interface ProductRule {
  lineId: number | null;
  minPrice: Micros | null;
  maxPrice: Micros | null;
  minMargin: number | null;
  maxMargin: number | null;
  minStock: number | null;
  minDiscount: number | null;
  maxDiscount: number | null;
}

/** A product's campaigns as they are to be made: a plain value that goes into a file and comes back the same. Money in micros. */
export interface BuildPlan {
  /** The product that it is for, and those that its ads show beside it. */
  productId: number;
  more: number[];
  /** Keeps `more` up to date; null where it is chosen by hand. */
  rule: ProductRule | null;
  /** What the names of its campaigns are made of. */
  pattern: string;
  code: string;
  purpose: string;
  source: string;
  parts: Record<PartName, PartPlan>;
  groups: PlanGroup[];
  /** Whether each automatic group gets a campaign of its own. */
  groupsApart: boolean;
  terms: PlanTerm[];
  items: PlanItem[];
  refined: PlanRefined[];
  /** Exact keywords of a campaign at most; null: as many as there are. */
  mostKeywords: number | null;
  /** Of all its campaigns together, a day (or for their life). */
  total: Micros;
  /** Budgets and names that were set by hand, by the campaign's key. */
  budgets: Record<string, Micros>;
  names: Record<string, string>;
  /** What all its campaigns are made with, and what single ones are made with instead. */
  settings: CampaignFields;
  own: Record<string, Partial<CampaignFields>>;
  /** The share of its campaign's budget that each ad group may spend, where a market takes that; null: all of it. */
  adGroupShare: number | null;
  /** Cross-negatives that are left out: "exact > auto". */
  uncrossed: string[];
}
