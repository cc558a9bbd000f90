import { noSumColumns } from '../../core/lenses';
import type { GrainSums } from '../../core/lenses';
import { NO_LISTS } from '../../core/matching';
import type { AccountTree, Negative, Structure } from '../../core/structure';
import type { TermTable } from '../../core/terms';
import { addDays, dayNumber, daysIn } from '../../core/units';
import type { Day } from '../../core/units';
import { MARGIN } from '../observe';
import type { BidMemory } from '../observe';
import type { PlayedMarket } from '../playedMarket';

// What a seller sees of a played market, in the forms that the core works with. An id is the place in the market's books, from 1.

/** Days whose orders are still coming in: nothing is judged by them. */
const LATE_DAYS = 5;
/** Days of the usual window. */
const WINDOW_DAYS = 30;

/** The settled days that are looked at. */
export interface SeenDays {
  from: Day;
  to: Day;
}

/** @param lookBack days; null: the usual window */
export const settledDays = ({ today }: PlayedMarket, lookBack: number | null): SeenDays => {
  const to = addDays(today, -1 - LATE_DAYS);
  return { from: addDays(to, 1 - (lookBack ?? WINDOW_DAYS)), to };
};

/** Places in the books by the market's ids, from 1. */
export const placesOf = (list: readonly { id: string }[]): ReadonlyMap<string, number> =>
  new Map(list.map(({ id }, at) => [id, at + 1]));

/** The account as its own tree. */
export function seenTree(market: PlayedMarket, memory: BidMemory): AccountTree {
  const { books, world, scenario, today } = market;
  const [campaigns, adGroups, products] = [books.campaigns, books.adGroups, world.products].map(placesOf);
  const productOf = new Map(
    books.ads.map(({ adGroupId, productId }) => [adGroupId, products.get(productId)!]),
  );
  const now = dayNumber(today);
  return {
    today,
    campaigns: books.campaigns.map(({ modifiers, ...one }, at) => ({ ...one, ...modifiers, id: at + 1 })),
    adGroups: books.adGroups.map((one, at) => ({
      ...one,
      id: at + 1,
      campaignId: campaigns.get(one.campaignId)!,
      productId: productOf.get(one.id) ?? null,
    })),
    targets: books.targets.map(({ kind, match, expression, bid, state, adGroupId }, at) => ({
      id: at + 1,
      adGroupId: adGroups.get(adGroupId)!,
      kind,
      match,
      expression,
      bid,
      state,
    })),
    products: world.products.map(({ price }, at) => ({
      id: at + 1,
      itemCode: scenario.products[at].name,
      name: scenario.products[at].name,
      lineId: null,
      price,
      margin: MARGIN,
      rating: null,
      stock: null,
    })),
    lines: [],
    goals: [],
    accountAcos: scenario.targetAcos,
    funds: null,
    lists: NO_LISTS,
    lastChanges: books.targets.flatMap(({ id }, at) => {
      const change = memory.changeOf(id, now);
      return change ? [{ entity: 'target' as const, id: at + 1, day: addDays(today, -change.daysAgo) }] : [];
    }),
  };
}

/** The same with its negatives. */
export function seenStructure(tree: AccountTree, { books }: PlayedMarket): Structure {
  const [campaigns, adGroups] = [books.campaigns, books.adGroups].map(placesOf);
  return {
    ...tree,
    negatives: books.negatives.map((one, at): Negative => ({
      ...one,
      id: at + 1,
      campaignId: campaigns.get(one.campaignId)!,
      adGroupId: one.adGroupId === null ? null : adGroups.get(one.adGroupId)!,
    })),
  };
}

/** What targets did on some days. */
export function seenTargets(market: PlayedMarket, { from, to }: SeenDays): GrainSums {
  const { books, days, today } = market;
  const size = books.targets.length;
  const at = placesOf(books.targets);
  const now = noSumColumns(size);
  for (const { day, targets, late } of days) {
    if (day < from || day > to) continue;
    for (const { targetId, ...sums } of targets) {
      const row = at.get(targetId)! - 1;
      for (const key of ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const)
        now[key][row] += sums[key];
    }
    for (const { targetId, arrives, sales, units } of late) {
      if (arrives >= today) continue;
      const row = at.get(targetId)! - 1;
      now.orders[row] += 1;
      now.units[row] += units;
      now.sales[row] += sales;
    }
  }
  return {
    size,
    targetId: Int32Array.from({ length: size }, (_, row) => row + 1),
    now,
    before: noSumColumns(size),
    isBeforeCovered: false,
  };
}

interface TermRow {
  term: string;
  adGroupId: number;
  campaignId: number;
  byTarget: Map<number, number>;
  days: Set<string>;
  window: number[];
  all: number[];
  recent: number[][];
}
const FIGURES = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;
const [CLICKS, SPEND, ORDERS, UNITS, SALES] = [1, 2, 3, 4, 5];
const RECENT = [30, 60, 90];

/** What search terms did in each ad group on some days, and on all settled ones. */
export function seenTerms(market: PlayedMarket, tree: AccountTree, window: SeenDays): TermTable {
  const { books, days, today } = market;
  const targets = placesOf(books.targets);
  const rows = new Map<string, TermRow>();
  const rowOf = (targetId: string, term: string): TermRow => {
    const target = targets.get(targetId)!;
    const { adGroupId } = tree.targets[target - 1];
    const key = `${adGroupId} ${term}`;
    let row = rows.get(key);
    if (!row)
      rows.set(
        key,
        (row = {
          term,
          adGroupId,
          campaignId: tree.adGroups[adGroupId - 1].campaignId,
          byTarget: new Map(),
          days: new Set(),
          window: FIGURES.map(() => 0),
          all: FIGURES.map(() => 0),
          recent: RECENT.map(() => FIGURES.map(() => 0)),
        }),
      );
    return row;
  };
  for (const { day, terms, late } of days) {
    if (day > window.to) continue;
    const age = daysIn(day, window.to);
    const recent = RECENT.flatMap((most, at) => (age <= most ? [at] : []));
    const isIn = day >= window.from;
    const add = (row: TermRow, figure: number, value: number) => {
      row.all[figure] += value;
      for (const at of recent) row.recent[at][figure] += value;
      if (isIn) row.window[figure] += value;
    };
    for (const one of terms) {
      const row = rowOf(one.targetId, one.term);
      FIGURES.forEach((key, figure) => one[key] !== 0 && add(row, figure, one[key]));
      if (!isIn || one.clicks === 0) continue;
      const target = targets.get(one.targetId)!;
      row.byTarget.set(target, (row.byTarget.get(target) ?? 0) + one.clicks);
      row.days.add(day);
    }
    for (const { targetId, term, arrives, units, sales } of late) {
      if (arrives >= today) continue;
      const row = rowOf(targetId, term);
      add(row, ORDERS, 1);
      add(row, UNITS, units);
      add(row, SALES, sales);
    }
  }
  const firstDay = days[0]?.day ?? window.from;
  return tableOf([...rows.values()], daysIn(firstDay, window.to));
}

function tableOf(rows: readonly TermRow[], historyDays: number): TermTable {
  const whole = (of: (row: TermRow, at: number) => number) => Int32Array.from(rows, of);
  const sums = (of: (row: TermRow) => number[], at: number) => Float64Array.from(rows, (row) => of(row)[at]);
  const window = (at: number) => sums((row) => row.window, at);
  const all = (at: number) => sums((row) => row.all, at);
  return {
    size: rows.length,
    term: rows.map(({ term }) => term),
    termId: whole((_, at) => at),
    adGroupId: whole(({ adGroupId }) => adGroupId),
    campaignId: whole(({ campaignId }) => campaignId),
    targetId: whole(({ byTarget }) => [...byTarget].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0),
    targetCount: whole(({ byTarget }) => byTarget.size),
    days: whole(({ days }) => days.size),
    firstDay: whole(() => 0),
    impressions: window(0),
    clicks: window(CLICKS),
    spend: window(SPEND),
    orders: window(ORDERS),
    units: window(UNITS),
    sales: window(SALES),
    history: {
      days: historyDays,
      clicks: all(CLICKS),
      spend: all(SPEND),
      orders: all(ORDERS),
      sales: all(SALES),
      recent: RECENT.map((days, at) => ({
        days,
        spend: sums((row) => row.recent[at], SPEND),
        sales: sums((row) => row.recent[at], SALES),
      })),
    },
  };
}
