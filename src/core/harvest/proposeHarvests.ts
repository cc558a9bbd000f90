import { isItemCode } from '../matching';
import type { KeywordMatch } from '../matching';
import type { MarketLimits } from '../changes';
import { ratio } from '../measures';
import type { Micros } from '../units';
import type { TermContext } from '../terms';
import { chanceWithin, sumsOfRow } from '../terms';
import type { NegativeScope } from '../negatives';
import { findHome } from '../routes';
import type { Route } from '../routes';
import { startingBid } from './startingBid';
import type { StartingBid } from './startingBid';

/** When a search term is worth a target of its own. */
export interface HarvestSettings {
  /** By the probability that it stays under the ACOS, or by plain counts. */
  basis: 'chance' | 'counts';
  /** Counts: orders in the window, at least. (By chance one is enough.) */
  minOrders: number;
  /** ACOS at most (share): of the window by counts, of what is to be expected by chance. */
  maxAcos: number;
  /** Chance: terms that stay under the ACOS at least as surely as this are proposed. */
  surety: number;
  /** Target ACOS that the starting bid aims at (share). */
  targetAcos: number;
  /** Where terms move to; the first of an ad group counts. Where there is none, a home is looked for. */
  routes: readonly Route[];
}

/** One term that is to move to a home of its own. */
export interface HarvestProposal {
  row: number;
  isItem: boolean;
  /** Ad group that is to bid on the term; null when the specialist has to choose. */
  homeId: number | null;
  bid: Micros;
  bidDecidedBy: StartingBid['decidedBy'];
  /** Where the term is made a negative once its home has it, so that its traffic is bid on in one place. */
  block: NegativeScope | 'nowhere';
  /** How the home bids on it; item codes become item targets. */
  match: KeywordMatch;
}

/**
 * Search terms that sold and are nowhere exact. By counts: orders >= minOrders and ACOS <= maxAcos. By chance: an order, and
 * P(ACOS <= maxAcos) >= surety (chosen by trial: three in four of these go on selling on target, of "two orders" three in five). No live exact keyword
 * or item target for the same term anywhere, not yet negative in the source. A term that qualifies in
 * several ad groups is proposed once, from the one with most sales.
 */
export function proposeHarvests(
  context: TermContext,
  settings: HarvestSettings,
  limits: MarketLimits,
): HarvestProposal[] {
  const { table, forms } = context;
  const best = new Map<string, number>();
  for (let row = 0; row < table.size; row += 1) {
    if (!qualifies(context, row, settings)) continue;
    const rival = best.get(forms[row]);
    if (rival === undefined || table.sales[row] > table.sales[rival]) best.set(forms[row], row);
  }
  return [...best.values()].map((row) => harvestOf(context, row, settings, limits));
}

function qualifies(context: TermContext, row: number, settings: HarvestSettings): boolean {
  const { table, structure, forms } = context;
  if (table.orders[row] === 0 || table.sales[row] === 0) return false;
  if (settings.basis === 'counts') {
    const acos = ratio(table.spend[row], table.sales[row]);
    if (table.orders[row] < settings.minOrders || acos === null || acos > settings.maxAcos) return false;
  } else {
    const chance = chanceWithin(context, row, settings.maxAcos);
    if (chance === null || chance < settings.surety) return false;
  }
  if (forms[row] === '' || structure.exactTargets(forms[row]).length > 0) return false;
  const source = structure.adGroup(table.adGroupId[row]);
  return source !== undefined && !structure.isNegativeIn(forms[row], source);
}

/** The harvest of any row, whether it qualifies or the specialist chose it by hand. */
export function harvestOf(
  context: TermContext,
  row: number,
  settings: HarvestSettings,
  limits: MarketLimits,
): HarvestProposal {
  const { table, structure } = context;
  const isItem = isItemCode(table.term[row]);
  const source = structure.adGroup(table.adGroupId[row]);
  const route = settings.routes.find(
    ({ sourceId, takes }) => sourceId === source?.id && takes === (isItem ? 'items' : 'words'),
  );
  const sums = sumsOfRow(table, row);
  const cpc = ratio(sums.spend, sums.clicks) ?? 0;
  const value = context.value(row)?.mean ?? 0;
  const start = startingBid(value, cpc, settings.targetAcos, limits);
  return {
    row,
    isItem,
    homeId: route?.homeId ?? (source ? (findHome(source, isItem, structure)?.id ?? null) : null),
    bid: start.bid,
    bidDecidedBy: start.decidedBy,
    block: route?.block ?? 'ad group',
    match: route?.match ?? 'exact',
  };
}
