// What the list of organic ranks gets from the server, and what a time line of one of its rows. Money in micros.
import type { OrganicShare, RankEffect, RankRow } from '../core/rank';
import type { ChangeDay } from './field';

/** Days that a rank and what was spent are compared over. */
export const RANK_SPANS = [7, 28, 60, 90] as const;
export type RankSpan = (typeof RANK_SPANS)[number];
export const USUAL_RANK_SPAN: RankSpan = 28;

export interface RankAnswer {
  /** Null: no ranks were brought. */
  days: { from: string; to: string } | null;
  /** Days of the sums, and those before: they end where orders are in. */
  window: { from: string; to: string };
  before: { from: string; to: string };
  /** The worst rank that was told. */
  deepest: number;
  effect: RankEffect;
  organic: OrganicShare;
  rows: RankRow[];
}

/** Ranks of a product day by day, of the term asked for or of those that are searched most. */
export interface RankLinesAnswer {
  from: string;
  /** 0: beyond the last page; null: not told. */
  lines: { term: string; rank: (number | null)[] }[];
}

/** A product's term day by day; null in a list where a day was not told. */
export interface RankDaysAnswer {
  from: string;
  /** 0: beyond the last page. */
  rank: (number | null)[];
  searches: (number | null)[];
  clicks: number[];
  spend: number[];
  orders: number[];
  sales: number[];
  /** All orders and sales of the product, ads or not. */
  allOrders: (number | null)[];
  allSales: (number | null)[];
  /** What was changed on the targets that caught the term for the product. */
  changes: ChangeDay[];
  settledTo: string;
}
