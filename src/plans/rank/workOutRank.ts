import { productTermSubject } from '../../contract/aside';
import type { RankAnswer } from '../../contract/rank';
import { KEYWORD_MATCHES, matchForm } from '../../core/matching';
import { NO_SUMS, SUM_KEYS } from '../../core/measures';
import type { Sums } from '../../core/measures';
import { groupBy } from '../../core/order';
import {
  DAYS_OF_MONTH,
  organicShare,
  RANK_DAYS,
  rankEffect,
  rankWorth,
  shrunkConversion,
  standOver,
} from '../../core/rank';
import type { RankPair, RankRow, TermAds } from '../../core/rank';
import { indexTree, TARGET_KINDS, TARGET_STATES } from '../../core/structure';
import type { TargetColumns, TreeIndex } from '../../core/structure';
import { daysIn } from '../../core/units';
import type { Window } from '../../core/windows';
import { coreCount } from '../../core/words';
import { organicWeeks, usualOf } from './productWeeks';
import type { RankFrom } from './types';

/** Organic ranks of products and terms beside their ads: the list, what ads did to ranks, and what a rank brings. */
export function workOutRank({
  span,
  days,
  window,
  before,
  feed,
  sales,
  tree,
  pinned,
  accepted,
}: RankFrom): RankAnswer {
  const index = indexTree({ ...tree, targets: [] });
  const usual = usualOf(sales);
  const effect = rankEffect(feed.panel);
  const organic = organicShare(organicWeeks(feed, sales, usual));
  const homeOf = homes(index, tree.targets);
  const last = feed.panel.days;
  // Ads are read for the days of ranks: what is not whole among them is not told as if it were.
  const shown = { from: later(window.from, days.from), to: window.to };
  const length = Math.max(1, daysIn(shown.from, shown.to));
  const isBeforeKnown = before.from >= days.from;
  const sumsIn = (ads: readonly TermAds[], { from, to }: Window): Sums =>
    sumOf(ads, daysIn(days.from, from) - 1, daysIn(days.from, to) - 1);
  const rows = feed.pairs.map((pair, at): RankRow => {
    const { term, ads } = pair;
    const ranks = feed.panel.rank.subarray(at * last, (at + 1) * last);
    const product = index.products.get(term.productId);
    const [sums, usually] = [sumsIn(ads, shown), usual(term.productId)];
    const spendAMonth = (sums.spend * DAYS_OF_MONTH) / length;
    const weeklySearches = term.searches.at(-1) ?? 0;
    const rank = standOver(ranks, last - RANK_DAYS, last);
    return {
      productId: term.productId,
      product: product?.name ?? '',
      line: index.lines.get(product?.lineId ?? 0) ?? '',
      termId: term.termId,
      term: term.text,
      rank,
      rankBefore: standOver(ranks, last - span - RANK_DAYS, last - span),
      weeklySearches,
      sums,
      before: isBeforeKnown ? sumsIn(ads, before) : null,
      spendAMonth,
      isCore: false,
      home: homeOf(term.productId, term.text),
      acceptedUntil: accepted.get(productTermSubject(term.productId, term.termId)) ?? null,
      ...rankWorth(
        {
          rank,
          weeklySearches,
          ordersAWeek: (sums.orders * 7) / length,
          conversion: shrunkConversion(sums.clicks, sums.orders, usually.conversion),
          clickPrice: sums.clicks > 0 ? sums.spend / sums.clicks : usually.clickPrice,
          orderValue: usually.orderValue,
        },
        organic,
        effect,
        feed.deepest,
      ),
    };
  });
  markCore(rows, feed.pairs, new Set(pinned.map(({ productId, form }) => `${productId} ${form}`)));
  return { days, window: shown, before, deepest: feed.deepest, effect, organic, rows };
}

const later = (a: string, b: string) => (a > b ? a : b);

/** Sums of ads over days counted from the first one. */
function sumOf(ads: readonly TermAds[], from: number, to: number): Sums {
  const sums = { ...NO_SUMS };
  for (const one of ads)
    one.at.forEach((day, index) => {
      if (day < from || day > to) return;
      for (const key of SUM_KEYS) sums[key] += one[key][index];
    });
  return sums;
}

/** Marks the terms that matter for their product: pinned, or among those of its ranked terms that bring four fifths of their ad sales. */
function markCore(rows: RankRow[], pairs: readonly RankPair[], pinned: ReadonlySet<string>): void {
  const all = pairs.map(({ ads }) => sumOf(ads, 0, Infinity));
  const ofProduct = groupBy(
    rows.map((row, at) => ({ row, sums: all[at] })),
    ({ row }) => row.productId,
  );
  for (const list of ofProduct.values()) {
    const bySales = list.sort((a, b) => b.sums.sales - a.sums.sales || b.sums.clicks - a.sums.clicks);
    const total = bySales.reduce((sum, { sums }) => sum + sums.sales, 0);
    const count = coreCount(
      bySales.map(({ sums }) => sums),
      total,
    );
    bySales.forEach(({ row }, at) => {
      row.isCore = at < count || pinned.has(`${row.productId} ${matchForm(row.term)}`);
    });
  }
}

/** The ad group that bids on exactly a term for a product. */
function homes(
  { adGroups }: TreeIndex,
  { id, adGroupId, kind, match, state, expression }: TargetColumns,
): (productId: number, term: string) => RankRow['home'] {
  const found = new Map<string, { adGroupId: number; name: string }>();
  const [keyword, enabled] = [TARGET_KINDS.indexOf('keyword'), TARGET_STATES.indexOf('enabled')];
  const exact = KEYWORD_MATCHES.indexOf('exact');
  for (let at = 0; at < id.length; at += 1) {
    const group = adGroups.get(adGroupId[at]);
    if (kind[at] !== keyword || match[at] !== exact || state[at] !== enabled || !group) continue;
    const key = `${group.productId} ${matchForm(expression[at])}`;
    if (!found.has(key)) found.set(key, { adGroupId: group.id, name: group.name });
  }
  return (productId, term) => found.get(`${productId} ${matchForm(term)}`) ?? null;
}
