import { USUAL_START } from '../../src/core/routes';
import type { Route } from '../../src/core/routes';
import { termContext } from '../../src/core/terms';
import type { TermContext, TermTable } from '../../src/core/terms';
import type { AdGroup, Campaign, Negative, Structure, Target } from '../../src/core/structure';

/** One search term of a window; what a test does not name is unremarkable. */
export interface TermSpec {
  term: string;
  adGroupId?: number;
  clicks?: number;
  orders?: number;
  /** Days with a click. */
  days?: number;
  /** Days since 1970. */
  firstDay?: number;
  /** Currency units. */
  spend?: number;
  sales?: number;
  /** The target that caught it. */
  targetId?: number;
  /** What it did on all settled days that count; left out: the same as in the window. */
  all?: { clicks: number; orders: number; spend: number; sales: number };
  /** Of these on the last 60; left out: the same as in the window. */
  last60?: { spend: number; sales: number };
}

export const AUTO = 11;
export const EXACT = 12;
export const ITEMS = 13;

export const aCampaign = (over: Partial<Campaign> = {}): Campaign => ({
  id: 1,
  name: 'Glass weights',
  state: 'enabled',
  ...over,
});
export const anAdGroup = (over: Partial<AdGroup> = {}): AdGroup => ({
  id: AUTO,
  campaignId: 1,
  name: 'auto',
  state: 'enabled',
  productId: 7,
  ...over,
});
export const aTarget = (over: Partial<Target> = {}): Target => ({
  id: 101,
  adGroupId: AUTO,
  kind: 'auto',
  match: null,
  expression: 'near searches',
  bid: 500_000,
  state: 'enabled',
  ...over,
});
export const anExactKeyword = (expression: string, over: Partial<Target> = {}): Target =>
  aTarget({ id: 102, adGroupId: EXACT, kind: 'keyword', match: 'exact', expression, ...over });
export const aNegative = (expression: string, over: Partial<Negative> = {}): Negative => ({
  id: 201,
  campaignId: 1,
  adGroupId: AUTO,
  match: 'exact',
  expression,
  state: 'enabled',
  ...over,
});

/** One product with an automatic ad group, a home for words and a home for items. */
export function aStructure(over: Partial<Structure> = {}): Structure {
  return {
    campaigns: [
      aCampaign(),
      aCampaign({ id: 2, name: 'Glass weights exact' }),
      aCampaign({ id: 3, name: 'Glass weights items' }),
    ],
    adGroups: [
      anAdGroup(),
      anAdGroup({ id: EXACT, campaignId: 2, name: 'exact' }),
      anAdGroup({ id: ITEMS, campaignId: 3, name: 'items' }),
    ],
    targets: [
      aTarget(),
      anExactKeyword('fermentation weights'),
      aTarget({ id: 103, adGroupId: ITEMS, kind: 'item', expression: 'QY7K3M92TD' }),
    ],
    negatives: [],
    ...over,
  };
}

/** A term table; money given in currency units becomes micros. */
export function aTermTable(specs: TermSpec[]): TermTable {
  const figure = (of: (spec: TermSpec) => number | undefined, unit = 1) =>
    Float64Array.from(specs, (spec) => (of(spec) ?? 0) * unit);
  const clicks = figure((spec) => spec.clicks ?? 10);
  const spend = Float64Array.from(specs, (spec, at) => Math.round((spec.spend ?? clicks[at] * 0.5) * 1e6));
  const sales = Float64Array.from(specs, (spec) => Math.round((spec.sales ?? (spec.orders ?? 0) * 20) * 1e6));
  const orders = figure((spec) => spec.orders);
  const over = (usual: Float64Array, of: (spec: TermSpec) => number | undefined, unit = 1) =>
    usual.map((own, at) => (of(specs[at]) ?? own / unit) * unit);
  return {
    size: specs.length,
    term: specs.map((spec) => spec.term),
    termId: Int32Array.from(specs, (_, at) => at + 1),
    adGroupId: Int32Array.from(specs, (spec) => spec.adGroupId ?? AUTO),
    campaignId: Int32Array.from(specs, (spec) => (spec.adGroupId === EXACT ? 2 : 1)),
    targetId: Int32Array.from(specs, (spec) => spec.targetId ?? 101),
    targetCount: Int32Array.from(specs, () => 1),
    days: Int32Array.from(specs, (spec, at) => spec.days ?? Math.min(30, clicks[at])),
    firstDay: Int32Array.from(specs, (spec) => spec.firstDay ?? 20_000),
    impressions: clicks.map((count) => count * 40),
    clicks,
    spend,
    orders,
    units: figure((spec) => spec.orders),
    sales,
    history: {
      days: 120,
      clicks: over(clicks, ({ all }) => all?.clicks),
      orders: over(orders, ({ all }) => all?.orders),
      spend: over(spend, ({ all }) => all?.spend, 1e6),
      sales: over(sales, ({ all }) => all?.sales, 1e6),
      recent: [
        { days: 30, spend, sales },
        {
          days: 60,
          spend: over(spend, ({ last60 }) => last60?.spend, 1e6),
          sales: over(sales, ({ last60 }) => last60?.sales, 1e6),
        },
        { days: 90, spend, sales },
      ],
    },
  };
}

/** An account in which an order usually takes about ten clicks, plus the terms a test is about. */
export function aContext(specs: TermSpec[], structure: Structure = aStructure()): TermContext {
  const usual: TermSpec = {
    term: 'fermentation weights',
    clicks: 1000,
    orders: 100,
    spend: 400,
    sales: 2000,
  };
  return termContext(aTermTable([...specs, usual]), structure);
}

/** A route of words from the automatic ad group to the home of words. */
export const aRoute = (over: Partial<Route> = {}): Route => ({
  sourceId: AUTO,
  takes: 'words',
  homeId: EXACT,
  match: 'exact',
  block: 'ad group',
  asks: null,
  start: USUAL_START,
  ...over,
});
