import type { HarvestSettings } from './harvestSettings';
import { isItemCode } from '../matching';
import type { KeywordMatch } from '../matching';
import { checkWords, withoutRefused } from '../changes';
import type { MarketLimits } from '../changes';
import { ratio } from '../measures';
import type { Micros } from '../units';
import type { TermContext } from '../terms';
import { marginOr, sumsOfRow } from '../terms';
import type { NegativeReach } from '../negatives';
import { findHome, USUAL_START } from '../routes';
import type { Route } from '../routes';
import { harvestGain } from './harvestGain';
import type { GainFigures, HarvestGain } from './harvestGain';
import { routesBySource, routesOf, routeThatTakes } from './qualifies';
import { costOfBid, startingBid } from './startingBid';
import type { StartingBid } from './startingBid';

/** One term that is to move to a home of its own. */
export interface HarvestProposal {
  row: number;
  isItem: boolean;
  /** Whether a live exact keyword or item target asks for the term already: then it was chosen by hand. */
  isExact: boolean;
  /** Ad group that is to bid on the term; null when the specialist has to choose. */
  homeId: number | null;
  bid: Micros;
  bidDecidedBy: StartingBid['decidedBy'];
  /** What a click should then cost, micros. */
  expectedCpc: Micros;
  /** No more than this multiple of the CPC in the source was allowed; null: no cap. */
  cap: number | null;
  /** Whether the market's suggestion decides the bid, known or not. */
  asksMarket: boolean;
  /** Where the term is made a negative once its home has it, so that its traffic is bid on in one place. */
  block: NegativeReach | 'nowhere';
  /** How the home bids on it; item codes become item targets. */
  match: KeywordMatch;
  /** What it is expected to change in a month, and what that is reckoned from. */
  gain: HarvestGain;
  gainFrom: Omit<GainFigures, 'bid' | 'isBlocked'>;
}

/** Under what a suggestion of the market is kept. */
export const suggestionKey = (homeId: number | null, match: KeywordMatch, form: string): string =>
  `${homeId} ${match} ${form}`;

/**
 * Search terms that sold and are nowhere exact, most expected profit first. By counts: orders >= minOrders and ACOS <= maxAcos. By chance: an order, and
 * P(ACOS <= maxAcos) >= surety (chosen by trial: three in four of these go on selling on target, of "two orders" three in five). A route may ask
 * something of its own. No live exact keyword or item target for the same term anywhere, not yet in the home as loosely as the route would bid, not yet
 * negative in the source; and no words that the market takes for no keyword: too long, or too many. A term that qualifies in several ad groups is proposed once, from the one with most sales.
 */
export function proposeHarvests(
  context: TermContext,
  settings: HarvestSettings,
  limits: MarketLimits,
): HarvestProposal[] {
  const { table, forms } = context;
  const routes = routesBySource(settings.routes);
  const best = new Map<string, { row: number; route: Route | null }>();
  for (let row = 0; row < table.size; row += 1) {
    const route = routeThatTakes(context, row, routes, settings);
    if (route === undefined || !canBeKeyword(table.term[row], limits)) continue;
    const rival = best.get(forms[row]);
    if (rival === undefined || table.sales[row] > table.sales[rival.row])
      best.set(forms[row], { row, route });
  }
  return [...best.values()]
    .map(({ row, route }) => along(context, row, route, settings, limits))
    .sort((a, b) => b.gain.profit - a.gain.profit || table.sales[b.row] - table.sales[a.row]);
}

/** The harvest of any row, whether it qualifies or the specialist chose it by hand. */
export function harvestOf(
  context: TermContext,
  row: number,
  settings: HarvestSettings,
  limits: MarketLimits,
): HarvestProposal {
  const routes = routesBySource(settings.routes);
  const route = routeThatTakes(context, row, routes, settings) ?? routesOf(context, row, routes)[0];
  return along(context, row, route, settings, limits);
}

/** Whether the market takes a term for a keyword; item codes become targets of another kind. */
const canBeKeyword = (term: string, limits: MarketLimits): boolean =>
  isItemCode(term) || checkWords(withoutRefused(term, limits), limits).length === 0;

function along(
  context: TermContext,
  row: number,
  route: Route | null,
  settings: HarvestSettings,
  limits: MarketLimits,
): HarvestProposal {
  const { table, structure, forms } = context;
  const isItem = isItemCode(table.term[row]);
  const source = structure.adGroup(table.adGroupId[row]);
  const homeId = route?.homeId ?? (source ? (findHome(source, isItem, structure)?.id ?? null) : null);
  const match = route?.match ?? 'exact';
  const rule = route?.start ?? USUAL_START;
  const sums = sumsOfRow(table, row);
  const valuePerClick = context.value(row)?.mean ?? 0;
  const sourceBid = structure.target(table.targetId[row])?.bid ?? null;
  const share = costOfBid(sums.spend, sums.clicks, sourceBid, context.usualCostOfBid());
  const suggested = settings.suggested?.get(suggestionKey(homeId, match, forms[row])) ?? null;
  const { bid, decidedBy } = startingBid(
    {
      valuePerClick,
      cpc: ratio(sums.spend, sums.clicks) ?? 0,
      suggested,
      targetAcos: settings.targetAcos,
      costOfBid: share,
    },
    rule,
    limits,
  );
  const block = route?.block ?? 'ad group';
  const gainFrom = {
    clicks: sums.clicks,
    spend: sums.spend,
    days: settings.days,
    valuePerClick,
    margin: marginOr(context, row, settings.targetAcos),
    sourceBid,
  };
  return {
    row,
    isItem,
    isExact: structure.exactTargets(forms[row]).length > 0,
    homeId,
    bid,
    bidDecidedBy: decidedBy,
    cap: rule.cap,
    expectedCpc: Math.round(bid * share),
    asksMarket: rule.by === 'market',
    block,
    match,
    gain: gainOf({ bid, block, gainFrom }),
    gainFrom,
  };
}

/** What a harvest as it stands, edited or not, is expected to change in a month. */
export const gainOf = ({
  bid,
  block,
  gainFrom,
}: Pick<HarvestProposal, 'bid' | 'block' | 'gainFrom'>): HarvestGain =>
  harvestGain({ ...gainFrom, bid, isBlocked: block !== 'nowhere' });
