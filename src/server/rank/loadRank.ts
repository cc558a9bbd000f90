import type { RankAnswer, RankSpan } from '../../contract/rank';
import { productTermSubject } from '../../contract/aside';
import { KEYWORD_MATCHES, matchForm } from '../../core/matching';
import { NO_SUMS, SUM_KEYS } from '../../core/measures';
import type { Sums } from '../../core/measures';
import {
  DAYS_OF_MONTH,
  organicShare,
  RANK_DAYS,
  rankEffect,
  rankWorth,
  shrunkConversion,
  standOver,
  USUAL_SHARE,
} from '../../core/rank';
import type { RankRow } from '../../core/rank';
import { groupBy } from '../../core/order';
import { indexTree, TARGET_KINDS, TARGET_STATES } from '../../core/structure';
import type { TargetColumns, TreeIndex } from '../../core/structure';
import { addDays, daysIn } from '../../core/units';
import { coreCount } from '../../core/words';
import { listPinned } from '../../db/queries/coreTerms';
import { findRankDays, listProductSales } from '../../db/queries/ranks';
import type { TermAds } from '../../db/queries/ranks';
import type { AccountRow } from '../../db/queries/accounts';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { keptRead } from '../context/keptReads';
import { chooseWindow } from '../accounts/chooseWindow';
import { standingLosses } from '../aside/losses';
import { db } from '../context/context';
import { loadTreeColumns } from '../field/loadTree';
import { inSlices } from '../machine/inSlices';
import { organicWeeks, usualOf } from './productWeeks';
import { loadRankFeed } from './rankFeed';
import type { RankPair } from './rankFeed';

/** Days of ranks and ads that are looked at, at most. */
export const RANK_HISTORY = 180;

/** Organic ranks of an account's products and terms beside their ads: the list, what ads did to ranks, and what a rank brings. */
export async function loadRank(accountId: number, span: RankSpan): Promise<RankAnswer> {
  const account = await needAccount(accountId);
  const [pinned, losses] = await Promise.all([listPinned(db(), accountId), standingLosses(accountId)]);
  // What it hangs on beside figures and entities is part of its stamp: half a million terms are gone through once.
  const stamp = JSON.stringify([account.revision, account.figures, todayOf(account), pinned, losses]);
  return keptRead(`rank ${accountId} ${span}`, stamp, () => workOutRank(account, span, pinned, losses));
}

async function workOutRank(
  account: AccountRow,
  span: RankSpan,
  pinned: Awaited<ReturnType<typeof listPinned>>,
  losses: Awaited<ReturnType<typeof standingLosses>>,
): Promise<RankAnswer> {
  const accountId = account.id;
  const { to: settled } = await chooseWindow(account);
  const window = { from: addDays(settled, 1 - span), to: settled };
  const before = { from: addDays(window.from, -span), to: addDays(window.from, -1) };
  const told = await findRankDays(db(), accountId);
  if (!told)
    return {
      days: null,
      window,
      before,
      deepest: 1,
      effect: { verdict: 'early', days: 0, pairs: 0 },
      organic: USUAL_SHARE,
      rows: [],
    };
  const days = { from: later(told.from, addDays(told.to, 1 - RANK_HISTORY)), to: told.to };
  const [feed, sales, tree] = await Promise.all([
    loadRankFeed(accountId, days),
    listProductSales(db(), accountId, { from: days.from, to: settled }),
    loadTreeColumns(accountId),
  ]);
  const index = indexTree({ ...tree, targets: [] });
  const usual = usualOf(sales);
  const effect = rankEffect(feed.panel);
  const organic = organicShare(organicWeeks(feed, sales, usual));
  const homeOf = await homes(index, tree.targets);
  const accepted = new Map(losses.map(({ subject, until }) => [subject, until]));
  const last = feed.panel.days;
  // Ads are read for the days of ranks: what is not whole among them is not told as if it were.
  const shown = { from: later(window.from, days.from), to: window.to };
  const length = Math.max(1, daysIn(shown.from, shown.to));
  const isBeforeKnown = before.from >= days.from;
  const sumsIn = (ads: readonly TermAds[], { from, to }: typeof window): Sums =>
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
async function homes(
  { adGroups }: TreeIndex,
  { id, adGroupId, kind, match, state, expression }: TargetColumns,
): Promise<(productId: number, term: string) => RankRow['home']> {
  const found = new Map<string, { adGroupId: number; name: string }>();
  const [keyword, enabled] = [TARGET_KINDS.indexOf('keyword'), TARGET_STATES.indexOf('enabled')];
  const exact = KEYWORD_MATCHES.indexOf('exact');
  await inSlices(id.length, (at) => {
    const group = adGroups.get(adGroupId[at]);
    if (kind[at] !== keyword || match[at] !== exact || state[at] !== enabled || !group) return;
    const key = `${group.productId} ${matchForm(expression[at])}`;
    if (!found.has(key)) found.set(key, { adGroupId: group.id, name: group.name });
  });
  return (productId, term) => found.get(`${productId} ${matchForm(term)}`) ?? null;
}
