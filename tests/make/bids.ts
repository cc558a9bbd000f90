import type { BidFeed, BidObservations, BidSettings } from '../../src/core/bids';
import { planByRows, planColumns, proposeBids, USUAL_SETTINGS } from '../../src/core/bids';
import { buildLens } from '../../src/core/lenses';
import { indexTree } from '../../src/core/structure';
import { aTree, sumsByTarget } from './lenses';

/** What a target did on each of the last days: per day. Money in currency units. */
export interface TargetSpec {
  bid?: number;
  clicks?: number;
  /** Orders over all days. */
  orders?: number;
  cpc?: number;
  kind?: string;
  campaign?: number;
  isRunning?: boolean;
  change?: BidObservations['targets'][number]['change'];
  before?: BidObservations['targets'][number]['before'];
}

const DAYS = 60;
const PRICE = 30;
const UNIT = 1_000_000;

/** An account of one product whose targets did the same every day; orders are spread evenly, price 30, target 25 %. */
export function someTargets(
  specs: TargetSpec[],
  over: Partial<Pick<BidObservations, 'campaigns' | 'scopes' | 'products'>> & { scale?: number } = {},
): BidObservations {
  const scale = over.scale ?? 1;
  const campaigns = over.campaigns ?? [{ budget: null, modifiers: [0, 0, 0] }];
  const rows = specs.flatMap(({ clicks = 5, orders = 0, cpc = 0.4 }, target) =>
    Array.from({ length: DAYS }, (_, age) => ({
      target,
      age,
      clicks,
      spend: clicks * cpc * UNIT * scale,
      orders: orders / DAYS,
      sales: (orders / DAYS) * PRICE * UNIT * scale,
    })),
  );
  const column = (of: (row: (typeof rows)[number]) => number) => Float64Array.from(rows, of);
  return {
    completion: [],
    products: over.products ?? [{ price: PRICE * UNIT * scale, margin: 0.4 }],
    campaigns,
    scopes: over.scopes ?? [{ targetAcos: 0.25 }],
    targets: specs.map(
      ({ bid = 0.5, kind = 'exact', campaign = 0, isRunning = true, change = null, before = null }) => ({
        campaign,
        product: 0,
        scope: 0,
        kind,
        bid: bid * UNIT * scale,
        isRunning,
        change,
        before,
      }),
    ),
    testsUsed: 0,
    days: {
      target: Int32Array.from(rows, ({ target }) => target),
      age: Int32Array.from(rows, ({ age }) => age),
      clicks: column(({ clicks }) => clicks),
      spend: column(({ spend }) => spend),
      orders: column(({ orders }) => orders),
      sales: column(({ sales }) => sales),
      bid: new Float64Array(rows.length).fill(NaN),
    },
    placements: {
      campaign: Int32Array.from(rows, ({ target }) => specs[target].campaign ?? 0),
      placement: new Int32Array(rows.length).fill(1),
      age: Int32Array.from(rows, ({ age }) => age),
      clicks: column(({ clicks }) => clicks),
      spend: column(({ spend }) => spend),
      orders: column(({ orders }) => orders),
    },
  };
}

export const settings = (over: Partial<BidSettings> = {}): BidSettings => ({ ...USUAL_SETTINGS, ...over });

/** What the server tells the page about an account's bids: days of target 1001 onward, a day each. */
export function aBidFeed(over: Partial<BidFeed> = {}): BidFeed {
  return {
    today: '2026-11-15',
    completion: [1],
    days: { targetId: [], age: [], clicks: [], spend: [], orders: [], sales: [] },
    placements: { campaignId: [], placement: [], age: [], clicks: [], spend: [], orders: [] },
    bidChanges: [],
    modifierChanges: [],
    before: [],
    testsUsed: 0,
    sums: { targets: [], placements: [] },
    openDays: { campaignId: [], age: [], clicks: [] },
    nearHours: { campaignId: [], age: [], hour: [], clicks: [], spend: [] },
    evenPaced: [],
    byHour: new Array<number>(24).fill(0),
    budgetDays: [],
    month: { spent: 0, daysLeft: 16 },
    ...over,
  };
}

/** Ten clicks a day for sixty days at 0.30 each; every fifth day the given orders, at 60. */
export function sixtyDays(targets: { id: number; orders: number }[]): BidFeed {
  const days = targets.flatMap(({ id, orders }) =>
    Array.from({ length: 60 }, (_, age) => ({ id, age, orders: age % 5 === 0 ? orders : 0 })),
  );
  return aBidFeed({
    days: {
      targetId: days.map(({ id }) => id),
      age: days.map(({ age }) => age),
      clicks: days.map(() => 10),
      spend: days.map(() => 3e6),
      orders: days.map(({ orders }) => orders),
      sales: days.map(({ orders }) => orders * 60e6),
    },
  });
}

/** Three targets of an automatic lens, and what is proposed for them: one dead, one that sells, one that was changed yesterday. */
export function threeTargets() {
  const table = buildLens(
    'auto',
    indexTree(aTree()),
    sumsByTarget([
      { id: 1001, now: { clicks: 60, spend: 24 } },
      { id: 1002, now: { clicks: 80, orders: 9, spend: 16, sales: 270 } },
    ]),
  );
  const observations = someTargets([
    { bid: 0.4, clicks: 30, cpc: 0.5 },
    { bid: 0.3, clicks: 20, orders: 60, cpc: 0.2 },
    { bid: 0.5, clicks: 5, orders: 6, change: { daysAgo: 1, from: null } },
  ]);
  const account = {
    observations,
    targetIds: Int32Array.of(1001, 1002, 1005),
    campaignIds: Int32Array.of(1),
    accountScope: 0,
  };
  const byTarget = planColumns(proposeBids(observations, settings()), account);
  return { table, plan: planByRows(byTarget, table.size, (row) => table.targetId[row]) };
}
