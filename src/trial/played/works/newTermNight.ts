import { matchForm, isItemCode } from '../../../core/matching';
import { USUAL_SETTINGS } from '../../../core/bids';
import { pickTerms, testOfTerm } from '../../../core/rules';
import type { TermFound } from '../../../core/rules';
import { groupBy } from '../../../core/order';
import { DAYS_PER_MONTH, daysIn, roundDownToStep } from '../../../core/units';
import { suggestTargets } from '../../../market/sim';
import type { SimAdGroup } from '../../../market/sim';
import type { PlayedMarket } from '../../playedMarket';
import { visibleTerms } from '../figures';
import { settledDays } from '../seen';
import type { NightWork } from './nightMove';
import { aimOf } from './settings';

/** The market is asked for so many at once. */
const SUGGESTED = 50;

/** Terms that are not bid on yet join the ad group of their product with the most keywords of a match, within the testing allowance. */
export function newTermNight(): NightWork {
  let tests: { day: string; cost: number }[] = [];
  return (rule, market) => {
    const { books, world, today } = market;
    const asks = rule.newTerms!;
    const window = settledDays(market, null);
    tests = tests.filter(({ day }) => daysIn(day, today) <= DAYS_PER_MONTH);
    const { spend } = spentIn(market, window.from, window.to);
    const month = (spend * DAYS_PER_MONTH) / daysIn(window.from, window.to);
    let room = USUAL_SETTINGS.testing.share * month - tests.reduce((sum, { cost }) => sum + cost, 0);
    const byGroup = groupBy(books.targets, ({ adGroupId }) => adGroupId);
    const all = [...visibleTerms(market)];
    return world.products.flatMap((product, at) => {
      const groups = books.ads.flatMap(({ adGroupId, productId }) =>
        productId === product.id ? [books.adGroups.find(({ id }) => id === adGroupId)!] : [],
      );
      const home = mostKeywords(groups, byGroup, asks.match);
      if (!home) return [];
      const own = new Set(groups.map(({ id }) => id));
      const seen = all.filter(({ adGroupId }) => own.has(adGroupId));
      const sum = (of: 'clicks' | 'orders' | 'sales') => seen.reduce((total, one) => total + one[of], 0);
      const { bidStep, minBid, maxBid } = market.scenario.limits;
      const worth = sum('clicks') > 0 ? (aimOf(rule, market) * sum('sales')) / sum('clicks') : minBid;
      const bid = Math.min(rule.bid.high ?? maxBid, Math.max(minBid, roundDownToStep(worth, bidStep)));
      const test = testOfTerm(
        bid,
        USUAL_SETTINGS.proof.orders,
        sum('clicks') > 0 ? sum('orders') / sum('clicks') : null,
      );
      if (test === null) return [];
      const forms = new Set(
        [...own].flatMap((id) => (byGroup.get(id) ?? []).map(({ expression }) => matchForm(expression))),
      );
      const found: TermFound[] = [
        ...(asks.campaigns ? seen : []).flatMap(({ term, orders, sales }) =>
          orders > 0 && !isItemCode(term)
            ? [{ text: term, sold: { orders, sales }, weeklySearches: null }]
            : [],
        ),
        ...(asks.market ? suggestTargets(world, at, forms, SUGGESTED) : []).flatMap((one) =>
          one.kind === 'keyword'
            ? [{ text: one.expression, sold: null, weeklySearches: one.weeklySearches }]
            : [],
        ),
      ].filter(({ text }) => !forms.has(matchForm(text)) && forms.add(matchForm(text)));
      const takes = () => room >= test.cost && ((room -= test.cost), true);
      const picked = pickTerms(found, asks.most, takes).flatMap(({ term, hasRoom }) =>
        hasRoom ? [term] : [],
      );
      return picked.map(({ text, sold }) => ({
        figures: { clicks: 0, impressions: 0, orders: sold?.orders ?? 0 },
        spend: test.cost,
        make: () => {
          tests.push({ day: today, cost: test.cost });
          books.targets.push({
            id: `W${books.targets.length}`,
            adGroupId: home.id,
            kind: 'keyword',
            match: asks.match,
            expression: text,
            refine: null,
            bid,
            state: 'enabled',
          });
        },
      }));
    });
  };
}

function mostKeywords(
  groups: readonly SimAdGroup[],
  byGroup: ReadonlyMap<string, readonly { match: string | null }[]>,
  match: string,
): SimAdGroup | undefined {
  const size = ({ id }: SimAdGroup) => (byGroup.get(id) ?? []).filter((one) => one.match === match).length;
  return [...groups].sort((a, b) => size(b) - size(a)).find((one) => size(one) > 0);
}

function spentIn({ days }: PlayedMarket, from: string, to: string): { spend: number } {
  let spend = 0;
  for (const { day, targets } of days)
    if (day >= from && day <= to) for (const one of targets) spend += one.spend;
  return { spend };
}
