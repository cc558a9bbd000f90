import { givenUpReason, isGivenUp, raisedBid } from '../../core/growth';
import type { TriedTarget } from '../../core/growth';
import { isItemCode, matchForm } from '../../core/matching';
import { daysIn, formatMoney } from '../../core/units';
import { visibleTerms } from './figures';
import type { Figures } from './figures';
import { campaignOf } from './growthNight';
import type { Night } from './growthNight';

/** What is tried is raised until its chance comes about, and given up once it had it. */
export function tryTargets(
  { market, plan, rule, members, changed, tell }: Night,
  seen: ReadonlyMap<string, Figures>,
) {
  if (!plan.find.isOn) return;
  const { limits } = market.scenario;
  for (const target of market.books.targets) {
    if (target.state !== 'enabled' || members.get(campaignOf(market, target.adGroupId))?.stage !== 'find')
      continue;
    const figures = seen.get(target.id);
    const tried: TriedTarget = {
      id: 0,
      days: figures ? daysIn(figures.firstDay, market.today) - 1 : 0,
      clicks: figures?.clicks ?? 0,
      spend: figures?.spend ?? 0,
      orders: figures?.orders ?? 0,
    };
    if (isGivenUp(tried, plan.find)) {
      target.state = 'paused';
      tell(`gave up “${target.expression}”: ${givenUpReason(tried, plan.find)}`);
      continue;
    }
    const bid = target.bid ?? limits.minBid;
    const since = changed.get(target.id);
    const raised = raisedBid(
      tried,
      plan.find,
      {
        bid,
        most: Math.min(limits.maxBid, rule.bid.high ?? 2 * plan.find.bid),
        up: rule.step.up,
        sinceChange: since === undefined ? Infinity : daysIn(since, market.today) - 1,
      },
      limits.bidStep,
    );
    if (raised === null) continue;
    target.bid = raised.to;
    changed.set(target.id, market.today);
    tell(`bid of “${target.expression}” ${formatMoney(bid)} to ${formatMoney(raised.to)}`);
  }
}

/** Terms of finding that sold often enough are bid on where what sold stands, and kept out where they were found. */
export function moveUp({ market, plan, rule, members, tell }: Night): void {
  const { books, scenario } = market;
  const home = books.adGroups.find(
    ({ id, campaignId }) =>
      members.has(campaignId) &&
      members.get(campaignId)!.stage !== 'find' &&
      books.targets.every((target) => target.adGroupId !== id || target.match === 'exact'),
  );
  if (!plan.tune.isOn || !home) return;
  const exact = new Set(
    books.targets.flatMap(({ match, expression }) => (match === 'exact' ? [matchForm(expression)] : [])),
  );
  const { minBid, maxBid, bidStep } = scenario.limits;
  const goal = rule.target ? (rule.target.low + rule.target.high) / 2 : scenario.targetAcos;
  for (const { adGroupId, term, clicks, spend, orders, sales } of visibleTerms(market)) {
    const campaignId = campaignOf(market, adGroupId);
    if (members.get(campaignId)?.stage !== 'find' || orders < plan.tune.orders) continue;
    if (isItemCode(term) || exact.has(matchForm(term)) || term.length > scenario.limits.maxLength) continue;
    exact.add(matchForm(term));
    const worth = Math.min((1.3 * spend) / clicks, (sales / clicks) * goal);
    const bid = Math.min(maxBid, Math.max(minBid, Math.floor(worth / bidStep) * bidStep));
    const id = `G${books.targets.length}`;
    books.targets.push({
      id,
      adGroupId: home.id,
      kind: 'keyword',
      match: 'exact',
      expression: term,
      refine: null,
      bid,
      state: 'enabled',
    });
    books.negatives.push({
      id: `N${id}`,
      campaignId,
      adGroupId,
      match: 'exact',
      expression: term,
      state: 'enabled',
    });
    tell(`“${term}” moved up with ${orders} orders, bid ${formatMoney(bid)}`);
  }
}
