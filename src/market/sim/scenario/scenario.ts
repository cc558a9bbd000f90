import type { Placement } from '../../../core/structure';
import type { AdRules, MarketLimits } from '../../../core/changes';
import type { KeywordMatch } from '../../../core/matching';

/** A product of a scenario, and the words shoppers use around it. */
export interface ScenarioProduct {
  name: string;
  /** Product line; products of one line are looked at and bought together. */
  line: string;
  /** Price in currency units. */
  price: number;
  /** Orders per click of a shopper who looks for just this. */
  conversion: number;
  /** What shoppers call it. */
  heads: string[];
  /** Words put before or behind. */
  qualities: string[];
  /** What it is for. */
  uses: string[];
  /** Near things that shoppers of something else type: clicks, hardly ever orders. */
  strays: string[];
  /** Not advertised yet: it begins without campaigns. */
  isNew?: boolean;
}

/** What a market lets an account do. */
export interface MarketOptions {
  /** Targets on items, categories and brands. */
  productTargets: boolean;
  /** Match types that keywords can have. */
  matches: KeywordMatch[];
  /** Placements whose bids can be raised. */
  modifiers: Placement[];
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

/** A seller on the simulated market. */
export interface Scenario {
  key: string;
  accountName: string;
  currency: string;
  /** In which its days begin, as the tz database names it. */
  timeZone: string;
  targetAcos: number;
  /** The market's present day when the scenario begins to be played. */
  today: string;
  /** Days of history before it. */
  days: number;
  seed: number;
  /** The seller's own brand, and those of rivals. */
  brand: string;
  rivals: string[];
  /** Words that shoppers use for one another: each list's first stands for all. */
  synonyms: string[][];
  products: ScenarioProduct[];
  /** Queries of the long tail around one product, and item codes of rivals. */
  tailQueries: number;
  itemQueries: number;
  /** Searches a day for the first core query of a product. */
  headVolume: number;
  /** Share of all searches that nobody typed before. */
  unseenShare: number;
  limits: MarketLimits;
  options: MarketOptions;
  /** Prepaid funds at the start in micros; null where the market bills afterwards. */
  funds: number | null;
  /** Keywords and item targets that the seller has for each product, about. */
  targetsPerProduct: number;
  /** Whether prices, ratings and stock of its products move from the present day on. */
  movingListings?: boolean;
  /** What is unlike the usual market; for trials. */
  nature?: Partial<Nature>;
}

/** How a market can be unlike the usual one. */
export interface Nature {
  /** Share of the way from the next bidder's price to the own bid that a click costs: 0 second price, 1 the own bid. */
  ownBidPrice: number;
  /** How many times as fast as usual rivals' bids move. */
  drift: number;
  /** Share of the long tail that never buys. */
  worthless: number;
  /** Whether clicks sell alike at every placement. */
  flatPlacements: boolean;
  /** How much conversion varies by weekday x hour: standard deviation of its logarithm, by product line. Left out: as it usually does, by hour alone. */
  rhythm: number;
  /** Days after which an order begins to move the organic rank of its search: 0, the day after. */
  rankLag: number;
  /** Orders a day that move the rank of every search beside those that were made: what they change is what orders do. */
  ordersMore: number;
}
