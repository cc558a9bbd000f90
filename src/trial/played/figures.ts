import type { PlayedMarket, WeekSums } from '../playedMarket';

/** What is visible of something so far. Money in micros. */
export interface Figures {
  firstDay: string;
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
}

const begun = (firstDay: string): Figures => ({ firstDay, clicks: 0, spend: 0, orders: 0, sales: 0 });

/** What every target did so far, with the orders that have come in by today. */
export function visibleTargets({ days, today }: PlayedMarket): Map<string, Figures> {
  const all = new Map<string, Figures>();
  const at = (id: string, day: string) => {
    const one = all.get(id) ?? begun(day);
    all.set(id, one);
    return one;
  };
  for (const { day, targets, late } of days) {
    for (const { targetId, clicks, spend, orders, sales } of targets) {
      const one = at(targetId, day);
      one.clicks += clicks;
      one.spend += spend;
      one.orders += orders;
      one.sales += sales;
    }
    for (const { targetId, arrives, sales } of late) {
      if (arrives >= today) continue;
      const one = at(targetId, day);
      one.orders += 1;
      one.sales += sales;
    }
  }
  return all;
}

/** What every search term did in each ad group so far. */
export function visibleTerms({
  days,
  today,
  books,
}: PlayedMarket): Iterable<Figures & { adGroupId: string; term: string }> {
  const groupOf = new Map(books.targets.map(({ id, adGroupId }) => [id, adGroupId]));
  const all = new Map<string, Figures & { adGroupId: string; term: string }>();
  const at = (targetId: string, term: string, day: string) => {
    const adGroupId = groupOf.get(targetId)!;
    const key = `${adGroupId} ${term}`;
    const one = all.get(key) ?? { ...begun(day), adGroupId, term };
    all.set(key, one);
    return one;
  };
  for (const { day, terms, late } of days) {
    for (const { targetId, term, clicks, spend, orders, sales } of terms) {
      const one = at(targetId, term, day);
      one.clicks += clicks;
      one.spend += spend;
      one.orders += orders;
      one.sales += sales;
    }
    for (const { targetId, term, arrives, sales } of late) {
      if (arrives >= today) continue;
      const one = at(targetId, term, day);
      one.orders += 1;
      one.sales += sales;
    }
  }
  return all.values();
}

/** Sums of days of the first product alone, with every order however late it comes. */
export function firstProductSums({ days, books, world }: PlayedMarket, from: number, to: number): WeekSums {
  const groups = new Set(
    books.ads.flatMap(({ adGroupId, productId }) => (productId === world.products[0].id ? [adGroupId] : [])),
  );
  const own = new Set(books.targets.flatMap(({ id, adGroupId }) => (groups.has(adGroupId) ? [id] : [])));
  const sums = { clicks: 0, spend: 0, orders: 0, sales: 0 };
  for (const { targets, late } of days.slice(from, to)) {
    for (const one of targets) {
      if (!own.has(one.targetId)) continue;
      sums.clicks += one.clicks;
      sums.spend += one.spend;
      sums.orders += one.orders;
      sums.sales += one.sales;
    }
    for (const { targetId, sales } of late) {
      if (!own.has(targetId)) continue;
      sums.orders += 1;
      sums.sales += sales;
    }
  }
  return sums;
}
