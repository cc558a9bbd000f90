import type { KeywordMatch } from '../matching';
import { counted, formatCount, formatMoney } from '../units';
import type { Micros } from '../units';

/** Where a rule that tries new terms takes them from, and how many. */
export interface NewTermsRule {
  /** From the market's suggestions; from what sold in the product's other campaigns. */
  market: boolean;
  campaigns: boolean;
  match: KeywordMatch;
  /** For a product in a night. */
  most: number;
}

/** A term that is not bid on yet. Money in micros; null: not known. */
export interface TermFound {
  text: string;
  /** What it brought in other campaigns; null: the market suggests it. */
  sold: { orders: number; sales: Micros } | null;
  weeklySearches: number | null;
}

/** What it takes to find out whether a term is worth its bid. */
export interface TermTest {
  bid: Micros;
  clicks: number;
  cost: Micros;
}

/**
 * Clicks that bring the orders which prove a target, at the product's conversion, each at the whole bid: what a test of a new term costs at
 * most. @param conversion orders of a click @returns null where no conversion is known: then no test can be priced
 */
export function testOfTerm(bid: Micros, provenOrders: number, conversion: number | null): TermTest | null {
  if (conversion === null || conversion <= 0) return null;
  const clicks = Math.ceil(provenOrders / conversion);
  return { bid, clicks, cost: clicks * bid };
}

/** What sold comes first, the most sales ahead; then what is searched for most. @param takes whether there is room for one more test */
export function pickTerms(
  found: readonly TermFound[],
  most: number,
  takes: () => boolean,
): { term: TermFound; hasRoom: boolean }[] {
  const inOrder = [...found].sort(
    (a, b) =>
      (b.sold?.sales ?? -1) - (a.sold?.sales ?? -1) ||
      (b.weeklySearches ?? 0) - (a.weeklySearches ?? 0) ||
      (a.text < b.text ? -1 : 1),
  );
  return inOrder.slice(0, most).map((term) => ({ term, hasRoom: takes() }));
}

/** Why a term is tried, and what that may cost. */
export function newTermReason({ sold, weeklySearches }: TermFound, { clicks, cost, bid }: TermTest): string {
  const why =
    sold !== null
      ? `It sold in other campaigns of the product: ${counted(sold.orders, 'order')}, ${formatMoney(sold.sales)}.`
      : `The market suggests it${weeklySearches === null ? '' : `: ${formatCount(weeklySearches)} searches a week`}.`;
  return `${why} To prove itself it takes ${formatCount(clicks)} clicks, up to ${formatMoney(cost)} at a bid of ${formatMoney(bid)}.`;
}
