import { EVIDENCE_GRADES } from '../evidence';
import type { Sums } from '../measures';
import type { LensName } from './lens';
import type { SumColumns } from './sumColumns';

/** How a row stands to its target ACOS; 'early': too early to say. */
export const STANDINGS = ['earning', 'near', 'losing', 'early'] as const;
export type Standing = (typeof STANDINGS)[number];
export const GRADES = EVIDENCE_GRADES;
export const STATES = ['enabled', 'paused', 'archived', 'draft'] as const;

/**
 * The rows of a lens over a window and the one before it, as columns: a hundred thousand rows are filtered and sorted
 * without an object each. Money in micros; NaN where a number is not known; id 0 where a row has no such thing.
 */
export interface LensTable {
  lens: LensName;
  size: number;
  name: string[];
  /** Where it lives: campaign and ad group, or the product's line. */
  place: string[];
  /** What it is: exact, near searches, category …; empty for campaigns and the like. */
  kind: string[];
  /** Of search terms: what sort they are, and 1 where they were first seen in the window. */
  termKind: string[];
  isNew: Uint8Array;
  /** Index in STATES of the row's own state. */
  state: Uint8Array;
  /** 1 where it is enabled but what it hangs below is not. */
  isStoppedAbove: Uint8Array;
  targetId: Int32Array;
  /** What tells rows with the same id apart: the term's id, or the placement's number (see PLACEMENTS); 0 for others. */
  part: Int32Array;
  adGroupId: Int32Array;
  campaignId: Int32Array;
  productId: Int32Array;
  lineId: Int32Array;
  /** Bid, budget, modifier or price, as the lens says. */
  value: Float64Array;
  /** 1 where the value is not the row's own: a target that bids its ad group's default. */
  isInherited: Uint8Array;
  targetAcos: Float64Array;
  margin: Float64Array;
  /** Of products: all sales, with ads or without. */
  totalSales: Float64Array;
  /** Days since the row's own last change from here. */
  age: Float64Array;
  now: SumColumns;
  before: SumColumns;
  /** Whether the data cover the window before: else nothing is compared with it. */
  isBeforeCovered: boolean;
  /** Estimated sales per click with their 80 % interval, and how sure that is (index in GRADES). */
  rpc: Float64Array;
  rpcLow: Float64Array;
  rpcHigh: Float64Array;
  /** What an order is expected to bring. */
  orderValue: Float64Array;
  /** Conversion rate that is usual there: what the estimate starts from. */
  usual: Float64Array;
  grade: Uint8Array;
  /** Index in STANDINGS. */
  standing: Uint8Array;
}

/** Columns of so many rows with nothing known. */
export function emptyLensTable(
  lens: LensName,
  size: number,
  sums: Pick<LensTable, 'now' | 'before' | 'isBeforeCovered'>,
): LensTable {
  const ids = () => new Int32Array(size);
  const unknown = () => new Float64Array(size).fill(NaN);
  return {
    lens,
    size,
    name: new Array<string>(size).fill(''),
    place: new Array<string>(size).fill(''),
    kind: new Array<string>(size).fill(''),
    termKind: new Array<string>(size).fill(''),
    isNew: new Uint8Array(size),
    state: new Uint8Array(size),
    isStoppedAbove: new Uint8Array(size),
    targetId: ids(),
    part: ids(),
    adGroupId: ids(),
    campaignId: ids(),
    productId: ids(),
    lineId: ids(),
    value: unknown(),
    isInherited: new Uint8Array(size),
    targetAcos: unknown(),
    margin: unknown(),
    totalSales: unknown(),
    age: unknown(),
    ...sums,
    rpc: new Float64Array(size),
    rpcLow: new Float64Array(size),
    rpcHigh: new Float64Array(size),
    orderValue: unknown(),
    usual: new Float64Array(size),
    grade: new Uint8Array(size),
    standing: new Uint8Array(size),
  };
}

/**
 * How a row stands: its cost per click against target x estimated sales per click. 'earning' when even the low end of
 * the 80 % interval pays for it, 'losing' when not even the high end does; between the two 'near' the line, or 'early'
 * where evidence is thin. A row without clicks or without a target is 'early'.
 */
export function standingOf(
  { clicks, spend }: Pick<Sums, 'clicks' | 'spend'>,
  estimate: { low: number; high: number; isThin: boolean },
  targetAcos: number,
): Standing {
  if (clicks === 0 || Number.isNaN(targetAcos)) return 'early';
  const cpc = spend / clicks;
  if (cpc <= targetAcos * estimate.low) return 'earning';
  if (cpc > targetAcos * estimate.high) return 'losing';
  return estimate.isThin ? 'early' : 'near';
}
