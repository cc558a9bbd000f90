import type { KeywordMatch } from '../matching';
import type { Route } from '../routes';
import type { Listing, Refinement, StructureIndex, Target, TreeIndex } from '../structure';
import { isExactTarget } from '../structure';
import { groupBy } from '../order';

/** What a target or term did in the window. Money in micros. */
export interface FoundSums {
  impressions: number;
  clicks: number;
  orders: number;
  spend: number;
  sales: number;
}

/** A search term that a target caught. */
export interface CaughtTerm extends FoundSums {
  targetId: number;
  termId: number;
  text: string;
  /** As matching compares it. */
  form: string;
}

/** What a structure is looked through with. */
export interface Given {
  structure: StructureIndex;
  index: TreeIndex;
  /** Of a target in the window; nothing where it did nothing. */
  sums: (targetId: number) => FoundSums;
  terms: readonly CaughtTerm[];
  routes: readonly Route[];
  /** Sums of the window times this are those of a month of 30.4 days. */
  perMonth: number;
  /** Days that the window has. */
  days: number;
  /** How the account names its campaigns, and what stands for a product in a name; null where it keeps no pattern. */
  naming: { pattern: string; codeOf: (productId: number) => string } | null;
  /** Categories and brands that were refined against an own price and rating. */
  refined: readonly RefinedTarget[];
  /** The least bid of the market's range for a target, micros; null where it is not known. */
  leastBid: (targetId: number) => number | null;
  /** What the market takes bids on. */
  offers: { matches: readonly KeywordMatch[]; productTargets: boolean };
  /** Sets of products that follow a rule. */
  sets: readonly RuledSet[];
}

/** A target on some items of a category or brand, and what they were chosen against. */
export interface RefinedTarget {
  targetId: number;
  refine: Refinement;
  against: Listing;
}

/** An ad group whose ads show the products that fit a rule. */
export interface RuledSet {
  adGroupId: number;
  /** Products of its ads, each with the ad's id. */
  has: readonly { productId: number; adId: number }[];
  /** Products that fit the rule, with the one that it is for. */
  wants: readonly number[];
}

const NOTHING: FoundSums = { impressions: 0, clicks: 0, orders: 0, spend: 0, sales: 0 };

/** Sums by target, nothing for those that did nothing. */
export function sumsBy(rows: readonly (FoundSums & { targetId: number })[]): Given['sums'] {
  const byTarget = new Map<number, FoundSums>();
  for (const { targetId, ...row } of rows)
    byTarget.set(targetId, added(byTarget.get(targetId) ?? NOTHING, row));
  return (id) => byTarget.get(id) ?? NOTHING;
}

export const added = (a: FoundSums, b: FoundSums): FoundSums => ({
  impressions: a.impressions + b.impressions,
  clicks: a.clicks + b.clicks,
  orders: a.orders + b.orders,
  spend: a.spend + b.spend,
  sales: a.sales + b.sales,
});

export const totalOf = (targets: readonly Target[], sums: Given['sums']): FoundSums =>
  targets.reduce((sum, { id }) => added(sum, sums(id)), NOTHING);

/** Whether a target runs: enabled, in an ad group and a campaign that run. */
export function runs({ index }: Given, { state, adGroupId }: Target): boolean {
  const adGroup = index.adGroups.get(adGroupId);
  return state === 'enabled' && adGroup?.state === 'enabled' && index.campaignRuns(adGroup.campaignId);
}

/** The targets that run, by ad group. */
export const runningByAdGroup = (given: Given): Map<number, Target[]> =>
  groupBy(
    given.index.tree.targets.filter((target) => runs(given, target)),
    ({ adGroupId }) => adGroupId,
  );

/** Whether an ad group bids on known words or items only. */
export const isHome = (targets: readonly Target[]): boolean =>
  targets.length > 0 && targets.every(isExactTarget);
