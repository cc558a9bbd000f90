import { proposeHarvests } from '../../../core/harvest';
import { isItemCode, writeItemCode } from '../../../core/matching';
import { proposeNegatives, spendPerMonth } from '../../../core/negatives';
import { termContext, USUAL_TERM_ASKS } from '../../../core/terms';
import type { TermContext } from '../../../core/terms';
import { daysIn } from '../../../core/units';
import { MARGIN } from '../../observe';
import type { BidMemory } from '../../observe';
import type { PlayedMarket } from '../../playedMarket';
import { seenStructure, seenTerms, seenTree, settledDays } from '../seen';
import type { NightMove, NightWork } from './nightMove';
import { keptTonight } from './tonight';
import { aimOf } from './settings';

/** Search terms as they are seen tonight, by the days that are looked at. */
const looksAtTerms = new Map<number | null, ReturnType<typeof looksBack>>();
const lookAtTerms = (market: PlayedMarket, memory: BidMemory, lookBack: number | null) => {
  let look = looksAtTerms.get(lookBack);
  if (!look) looksAtTerms.set(lookBack, (look = looksBack(lookBack)));
  return look(market, memory);
};

const looksBack = (lookBack: number | null) =>
  keptTonight((market, memory) => termsSeen(market, memory, lookBack));

function termsSeen(market: PlayedMarket, memory: BidMemory, lookBack: number | null) {
  const window = settledDays(market, lookBack);
  const tree = seenTree(market, memory);
  const margins = new Map(tree.products.map(({ id }) => [id, MARGIN]));
  const context = termContext(seenTerms(market, tree, window), seenStructure(tree, market), margins);
  return { window, context };
}

const figuresOf = ({ table }: TermContext, row: number): NightMove['figures'] => ({
  clicks: table.clicks[row],
  impressions: table.impressions[row],
  orders: table.orders[row],
});

/** Keeps a term out of an ad group. */
function block(
  { books }: PlayedMarket,
  adGroupId: number,
  term: string,
  match: 'exact' | 'phrase' | 'item',
): void {
  const { id, campaignId } = books.adGroups[adGroupId - 1];
  books.negatives.push({
    id: `N${books.negatives.length}`,
    campaignId,
    adGroupId: id,
    match,
    expression: match === 'item' ? writeItemCode(term) : term,
    state: 'enabled',
  });
}

/** Search terms that had their chance are kept out where they ran. */
export const negativeNight: NightWork = (rule, market, memory) => {
  const { window, context } = lookAtTerms(market, memory, rule.lookBack);
  const { table } = context;
  const settings = { ...USUAL_TERM_ASKS, bySource: {}, targetAcos: aimOf(rule, market) };
  return proposeNegatives(context, settings, market.scenario.limits)
    .sort((a, b) => table.spend[b.row] - table.spend[a.row])
    .map(({ row, match }) => ({
      figures: figuresOf(context, row),
      spend: -spendPerMonth(table.spend[row], window),
      make: () => block(market, table.adGroupId[row], table.term[row], match),
    }));
};

/** Search terms that sell move to their home, and are kept out where they were found. */
export const harvestNight: NightWork = (rule, market, memory) => {
  const { window, context } = lookAtTerms(market, memory, rule.lookBack);
  const { table } = context;
  const aim = aimOf(rule, market);
  const settings = {
    ...USUAL_TERM_ASKS,
    maxAcos: aim,
    targetAcos: aim,
    days: daysIn(window.from, window.to),
    routes: [],
  };
  return proposeHarvests(context, settings, market.scenario.limits).flatMap((one) => {
    const { row, homeId, match, bid, block: reach, gain } = one;
    if (homeId === null) return [];
    const term = table.term[row];
    const isItem = isItemCode(term);
    return [
      {
        figures: figuresOf(context, row),
        spend: gain.spend,
        make: () => {
          const { books } = market;
          const id = `H${books.targets.length}`;
          const { clicks, orders, sales } = context.judged;
          memory.brings(id, { clicks: clicks[row], orders: orders[row], sales: sales[row] });
          books.targets.push({
            id,
            adGroupId: books.adGroups[homeId - 1].id,
            kind: isItem ? 'item' : 'keyword',
            match: isItem ? null : match,
            expression: isItem ? writeItemCode(term) : term,
            refine: null,
            bid,
            state: 'enabled',
          });
          if (reach !== 'nowhere') block(market, table.adGroupId[row], term, isItem ? 'item' : 'exact');
        },
      },
    ];
  });
};
