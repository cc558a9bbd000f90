import { checkWords, withoutRefused } from '../changes';
import type { MarketLimits } from '../changes';
import { isItemCode } from '../matching';
import type { NegativeMatch } from '../matching';
import { chanceWithin, marginOr, paysSomewhere } from '../terms';
import type { TermContext } from '../terms';
import { daysIn, DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import type { Window } from '../windows';
import { bidMatter } from './bidMatter';
import type { BlockReach } from './reach';

/** What a term without an order has to show in one source before it is proposed there; everything that is not null has to hold. */
export interface BlockAsks {
  /** On the settled days that count for estimates, at least. */
  clicks: number | null;
  /** The same, as a multiple of the clicks that an order usually takes with its target. */
  clicksMultiple: number | null;
  /** In the window, at least. Micros. */
  spend: Micros | null;
}

/** What a source asks at first when it is to ask something of its own. */
export const USUAL_BLOCK_ASKS: BlockAsks = { clicks: null, clicksMultiple: 2, spend: null };

/** When a search term had its chance. */
export interface NegativeSettings {
  /** By the probability that it still pays, or by plain counts. */
  basis: 'chance' | 'counts';
  /** Counts: clicks without an order, as a multiple of the clicks that an order usually takes in the campaign. */
  clicksMultiple: number;
  /** Chance: terms less likely to pay than this are proposed. Where costs are not known, half of it. */
  chance: number;
  /** Chance: spend in the window, at least. Micros. */
  leastSpend: Micros;
  /** Ad groups that ask for something of their own instead, by their id. */
  bySource: Readonly<Record<number, BlockAsks>>;
  /** Share. */
  targetAcos: number;
}

/**
 * Probability that a row's term pays: that it costs no more than the product's margin, or where that is not known, than one and a half times the
 * target ACOS. (Chosen by trial: blocking below 20 % of the former, 10 % of the latter, earns most.)
 */
export function chanceToPay(
  context: TermContext,
  row: number,
  targetAcos: number,
): { chance: number | null; limit: number; isMargin: boolean } {
  const limit = marginOr(context, row, targetAcos);
  return { chance: chanceWithin(context, row, limit), limit, isMargin: context.margin(row) !== null };
}

/** One term that is to be blocked where it ran. */
export interface NegativeProposal {
  row: number;
  match: NegativeMatch;
  reach: BlockReach;
}

/**
 * Search terms that are never wanted, by the account's list, and those that had their chance, on all settled days that count for estimates. By chance: the probability that they pay is below
 * the limit (see chanceToPay), and they cost enough in the window. By counts: no order and clicks >= clicksMultiple x the clicks an order usually takes with their target. An ad group may ask for counts of its own instead. Left out: terms that paid over 30, 60 or
 * 90 days, terms that are a matter of their target's bid (see bidMatter), terms already negative there, and terms that an exact keyword or item
 * target of the same ad group asks for (that is a matter of the bid, not of a negative), and what the market takes for no negative: a part of it may be one.
 */
export function proposeNegatives(
  context: TermContext,
  settings: NegativeSettings,
  limits: MarketLimits,
): NegativeProposal[] {
  const proposals: NegativeProposal[] = [];
  for (let row = 0; row < context.table.size; row += 1)
    if (
      context.table.clicks[row] > 0 &&
      (isUnwanted(context, row) || hadItsChance(context, row, settings, limits)) &&
      canBeBlocked(context, row, limits)
    )
      proposals.push(negativeOf(context, row));
  return proposals;
}

function canBeBlocked({ table, structure, forms }: TermContext, row: number, limits: MarketLimits): boolean {
  const term = table.term[row];
  if (forms[row] === '' || (!isItemCode(term) && checkWords(withoutRefused(term, limits), limits).length > 0))
    return false;
  const source = structure.adGroup(table.adGroupId[row]);
  if (!source || structure.isNegativeIn(forms[row], source)) return false;
  return !structure.exactTargets(forms[row]).some((target) => target.adGroupId === source.id);
}

/** A term that sold is looked at anyway before a list blocks it. */
const isUnwanted = (context: TermContext, row: number): boolean =>
  context.kind(row).name === 'never wanted' && context.judged.orders[row] === 0;

function hadItsChance(
  context: TermContext,
  row: number,
  settings: NegativeSettings,
  limits: MarketLimits,
): boolean {
  const { table, judged } = context;
  const own = settings.bySource[table.adGroupId[row]];
  if (own !== undefined) {
    if (judged.orders[row] > 0 || !meetsBlockAsks(context, row, own)) return false;
  } else if (settings.basis === 'counts') {
    if (judged.orders[row] > 0) return false;
    if (judged.clicks[row] < settings.clicksMultiple / context.prior(row).mean) return false;
  } else {
    if (table.spend[row] < settings.leastSpend) return false;
    const { chance, isMargin } = chanceToPay(context, row, settings.targetAcos);
    if (chance === null || chance >= (isMargin ? settings.chance : settings.chance / 2)) return false;
  }
  return (
    !paysSomewhere(context, row, settings.targetAcos) &&
    bidMatter(context, row, settings.targetAcos, limits) === null
  );
}

function meetsBlockAsks(context: TermContext, row: number, asks: BlockAsks): boolean {
  const { table, judged } = context;
  const atLeast = (value: number, least: number | null) => least === null || value >= least;
  return (
    atLeast(judged.clicks[row], asks.clicks) &&
    atLeast(table.spend[row], asks.spend) &&
    (asks.clicksMultiple === null || judged.clicks[row] >= asks.clicksMultiple / context.prior(row).mean)
  );
}

/** The negative of any row, whether it qualifies or the specialist chose it by hand. */
export function negativeOf(context: TermContext, row: number): NegativeProposal {
  return { row, match: isItemCode(context.table.term[row]) ? 'item' : 'exact', reach: 'ad group' };
}

/** What a term spends in a month of 30.4 days, from its spend in the window. Micros. */
export function spendPerMonth(spend: Micros, window: Window): Micros {
  return Math.round((spend / daysIn(window.from, window.to)) * DAYS_PER_MONTH);
}
