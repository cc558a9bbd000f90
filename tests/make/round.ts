import { NO_SUMS } from '../../src/core/measures';
import type { BudgetRow } from '../../src/plans/budgets';
import type { PlacementFact, PlacementRow } from '../../src/plans/placements';

/** A campaign that stands at 10.00 a day and is to get 14.00. */
export const aBudgetRow = (over: Partial<BudgetRow> = {}): BudgetRow => ({
  campaignId: 2,
  stands: 10_000_000,
  left: null,
  from: 10_000_000,
  to: 14_000_000,
  need: 14_000_000,
  isLocked: false,
  byBids: null,
  demand: 12_000_000,
  spend: 12_000_000,
  cpc: 300_000,
  rpc: 2_000_000,
  days: 28,
  dry: [],
  missed: { clicks: 0, sales: 0, low: 0, high: 0, cv: 0.5 },
  isLeast: false,
  perMonth: 1.07,
  now: { clicks: 900, spend: 270_000_000, sales: 1_800_000_000 },
  after: { clicks: 1100, spend: 330_000_000, sales: 2_200_000_000 },
  ...over,
});

/** A placement with a third of the clicks of its campaign. @param ratio what a click is worth of one in the rest */
export const aPlacement = (from: number, to: number, ratio = 1): PlacementFact => ({
  from,
  to,
  wanted: to,
  isSettable: true,
  worth: { ratio, low: ratio * 0.9, high: ratio * 1.1 },
  share: 1 / 3,
  cost: 1,
  sums: { ...NO_SUMS, clicks: 40, orders: 4, spend: 12_000_000, sales: 90_000_000 },
  rpc: 2_000_000,
  rpcLow: 1_500_000,
  rpcHigh: 2_500_000,
  grade: 2,
});

/** Campaign 2 of the made-up account: the top is to go from 50 to 80 %. */
export const aPlacementRow = (over: Partial<PlacementRow> = {}): PlacementRow => ({
  campaignId: 2,
  left: null,
  placements: [aPlacement(0.5, 0.8, 1.6), aPlacement(0, 0), aPlacement(0.1, 0.1, 0.7)],
  clicks: 1200,
  bases: 0.9,
  bid: 400_000,
  targets: 2,
  aim: 0.25,
  now: { clicks: 300, spend: 90_000_000, sales: 400_000_000 },
  after: { clicks: 280, spend: 90_000_000, sales: 430_000_000 },
  ...over,
});
