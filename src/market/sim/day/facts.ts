import type { Placement } from '../../../core/structure';
import type { ShopSettings } from '../world/listing';

// What one day leaves in the market's books. Money in micros; orders are those that were visible on the day itself.

export interface Figures {
  impressions: number;
  clicks: number;
  orders: number;
  units: number;
  spend: number;
  sales: number;
}

export interface TermFact extends Figures {
  targetId: string;
  term: string;
}

export interface TargetFact extends Figures {
  targetId: string;
  placement: Placement;
}

export interface HourFact extends Figures {
  campaignId: string;
  hour: number;
}

/** All sales of a product on the day of purchase, ads or not; refunds on the day they happen. */
export interface ProductFact {
  productId: string;
  orders: number;
  units: number;
  sales: number;
  refundedUnits: number;
  refundedSales: number;
}

/** Where a product stands in the unpaid results of a search (1 = first), and how often that is searched in a week. */
export interface RankFact {
  productId: string;
  term: string;
  rank: number;
  weeklySearches: number;
}

/** An order that follows a click of the day but becomes visible later. */
export interface LateOrder {
  arrives: string;
  targetId: string;
  term: string;
  placement: Placement;
  campaignId: string;
  hour: number;
  units: number;
  sales: number;
}

export interface DayFacts {
  day: string;
  terms: TermFact[];
  targets: TargetFact[];
  hours: HourFact[];
  products: ProductFact[];
  ranks: RankFact[];
  late: LateOrder[];
}

/** What one day hands to the next. */
export interface SimState {
  /** How well a product stands with a core query, by the query's text. */
  standing: Record<string, number>;
  /** Prepaid funds left, null where the market bills afterwards. */
  funds: number | null;
  /** Spent so far by campaigns with a lifetime budget. */
  spent: Record<string, number>;
  /** What the seller has set in the shop. */
  shop?: ShopSettings;
  /** Orders that do not move the standing yet, by the query's text: a list a day, where the market lets them wait. */
  waiting?: Record<string, number>[];
  /** Purchases and refunds still to come, by day. */
  coming: Record<string, ProductFact[]>;
}
