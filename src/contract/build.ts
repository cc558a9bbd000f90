// Plans of a product's campaigns, as the page and the server tell each other. Money in micros.
import type { BuildPlan, Crossing, Expectation, PartName, PlanFault, PlannedCampaign } from '../core/build';
import type { ChangeState } from '../core/changes';
import type { Listing } from '../core/structure';

/** A product as a plan shows it. */
export interface PlanProduct {
  id: number;
  name: string;
  itemCode: string;
  sku: string | null;
  line: string | null;
  lineId: number | null;
  price: number | null;
  rating: number | null;
  stock: number | null;
  discount: number | null;
  /** Left of its price before ads, share; null where costs are missing. */
  margin: number | null;
  /** What a click may cost without a loss, from what its ads' clicks brought; null where that is not known. */
  breakEvenCpc: number | null;
  targetAcos: number | null;
  /** Running targets that it has, by part. */
  has: Partial<Record<PartName, number>>;
}

/** A plan in the list. */
export interface PlanInfo {
  id: number;
  productId: number;
  product: string;
  code: string;
  /** Whether any of it was sent. */
  isLaunched: boolean;
  isThrown: boolean;
  changedAt: string;
}

export interface PlansAnswer {
  plans: PlanInfo[];
  products: PlanProduct[];
}

/** What became of a line of a plan. */
export interface PlanLine {
  state: ChangeState;
  changeId: number;
  baleId: number | null;
  /** Why it was refused. */
  answer: string | null;
}

export interface PlannedCampaignInfo extends PlannedCampaign {
  expected: Expectation | null;
  /** Where it was made; null while it is not on the market. */
  campaignId: number | null;
}

/** A plan worked out: what it would make, what is wrong with it, and what became of what was launched. */
export interface PlanAnswer {
  id: number;
  plan: BuildPlan;
  changedAt: string;
  isThrown: boolean;
  product: PlanProduct;
  /** Own price and rating: what categories and brands are refined against. */
  listing: Listing | null;
  faults: PlanFault[];
  campaigns: PlannedCampaignInfo[];
  crossings: Crossing[];
  /** By line, as core/build names them. */
  lines: Record<string, PlanLine>;
  /** Categories that the market lists, and brands that are known, to choose from. */
  categories: string[];
  brands: string[];
  /** What a click of a part is worth, micros; missing where it is too early to say. */
  worth: Partial<Record<PartName, number>>;
}

export interface PlanRequest {
  account: number;
  /** Left out: a new plan. */
  id?: number;
  plan: BuildPlan;
}

/** A new plan for a product; `like` another one that the account has. */
export interface NewPlanRequest {
  account: number;
  productId: number;
  like?: number;
}

/** Where terms and items for a plan can come from. */
export const TERM_SOURCES = ['sold', 'core', 'parts', 'market'] as const;
export type TermSource = (typeof TERM_SOURCES)[number];

export interface SourceTerm {
  text: string;
  isItem: boolean;
  /** In the window, for this product (or, where it has none, for its line); null from the market. */
  clicks: number | null;
  orders: number | null;
  sales: number | null;
  weeklySearches: number | null;
}

export interface LaunchAnswer {
  /** Null: everything stands or is under way already. */
  baleId: number | null;
  /** Changes that were sent. */
  sent: number;
  trouble: string;
}
