// What the port to a market speaks: the shapes of a market's entities, changes, reports and answers. Money in micros;
// percentages are shares.
import type { AdRules, MarketChange, MarketFields, MarketLimits, OwnKind } from '../core/changes';
import type { KeywordMatch } from '../core/matching';
import type { Placement, State } from '../core/structure';

/** What a market lets an account do. */
export interface MarketOptions {
  /** Targets on items, categories and brands. */
  productTargets: boolean;
  /** Match types that keywords can have. */
  matches: KeywordMatch[];
  /** Placements whose bids can be raised. */
  modifiers: Placement[];
  /** Whether bids may follow a schedule by hour of the week; by some it can only raise them. */
  schedules: boolean | 'raise only';
  /** Whether the market may move bids by itself. */
  bidFlex: boolean;
  budgetKinds: ('daily' | 'lifetime')[];
  /** Automatic target groups, by name. */
  autoGroups: string[];
  /** Targets, and negatives, of an ad group at most. */
  mostTargets: number;
  mostNegatives: number;
  /** Whether an ad group may have a budget (a part of its campaign's) and days of its own. */
  adGroupBudgets: boolean;
  /** What its placements are called, where that is not as usual. */
  placementNames: Partial<Record<Placement, string>>;
  /** What every click costs, micros: there are no bids then. Null where ads bid. */
  clickPrice: number | null;
  /** Whether a campaign can leave out searches for similar categories. */
  similarCategories: boolean;
  /** What an ad may show in place of its product's own title and picture; null: nothing. */
  adParts: AdRules | null;
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
  /** What shoppers pay now; `discount` is off the usual price, a share. */
  price: number;
  /** Stars; null where it has none yet. */
  rating: number | null;
  /** Pieces at hand; null where the market does not tell. */
  stock: number | null;
  discount: number;
}

/** An entity as a market lists it: what a seller may set of it, with its id and the state that it is in. */
type Listed<E extends OwnKind, S extends State = State> = Omit<MarketFields[E], 'state'> & {
  id: string;
  state: S;
};

export type MarketCampaign = Listed<'campaigns'>;
export type MarketAdGroup = Listed<'ad-groups'>;
export type MarketAd = Listed<'ads'>;
/** A bid of null: the ad group's default bid. */
export type MarketTarget = Listed<'targets'>;
export type MarketNegative = Listed<'negatives', 'enabled' | 'archived'>;
/** Whole percents by hour of the week, Monday first; -100: off. */
export type MarketSchedule = Listed<'schedules', 'enabled' | 'archived'>;

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
  | 'terms'
  | 'targets'
  | 'placements'
  | 'target-placements'
  | 'hours'
  | 'sales'
  | 'ranks';

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
