import type { RankPanel } from './panel';

/** Whole numbers, one a day that was told. */
type Days = Float64Array;

/** The told days of a product's term, counted from the first day that was asked for. A rank of 0: beyond the last page. */
export interface RankedTerm {
  productId: number;
  termId: number;
  text: string;
  at: Days;
  rank: Days;
  searches: Days;
}

/** Ads of a product for a term on its days, from all campaigns. Money in micros. */
export interface TermAds {
  productId: number;
  termId: number;
  at: Days;
  impressions: Days;
  clicks: Days;
  spend: Days;
  orders: Days;
  units: Days;
  sales: Days;
}

/** A product's term with what was told of it, and what ads brought for all its spellings. */
export interface RankPair {
  term: RankedTerm;
  ads: TermAds[];
}

/** Ranks of some days beside their ads. */
export interface RankFeed {
  pairs: RankPair[];
  panel: RankPanel;
  /** The worst rank that was told. */
  deepest: number;
}

/** Orders and sales of a product on a day, ads or not, and what its ads brought of them. Money in micros. */
export interface ProductSalesDay {
  productId: number;
  at: number;
  orders: number;
  sales: number;
  adClicks: number;
  adOrders: number;
  adSpend: number;
  adSales: number;
}
