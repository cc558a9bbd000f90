import { decideBids, USUAL_SETTINGS } from '../../core/bids';
import type { BidProposal, BidSettings, PreparedBids } from '../../core/bids';
import { planBudgets } from '../../core/budgets';
import { isDue } from '../../core/rules';
import type { Rule } from '../../core/rules';
import { withDryDays } from '../budgetPolicies';
import type { PlayedMarket } from '../playedMarket';
import type { Policy } from '../policies';

/** The settings of the engine that a rule's own make. */
export function settingsOfRule(
  { step, bid, waitDays }: Pick<Rule, 'step' | 'bid' | 'waitDays'>,
  { scenario }: Pick<PlayedMarket, 'scenario'>,
): BidSettings {
  const { bidStep, minBid, maxBid } = scenario.limits;
  const least = Math.max(minBid, bid.low ?? 0);
  return {
    ...USUAL_SETTINGS,
    step,
    limits: { bidStep, minBid: least, maxBid: Math.max(least, Math.min(maxBid, bid.high ?? maxBid)) },
    modifiers: [false, false, false],
    hold: { settledDays: waitDays, secondSteps: true },
  };
}

/** What is prepared, with the target of a rule in place of the market's. */
export const aimedAt = (prepared: PreparedBids, target: Rule['target']): PreparedBids =>
  target === null
    ? prepared
    : {
        ...prepared,
        observations: {
          ...prepared.observations,
          scopes: prepared.observations.scopes.map(() => ({
            targetAcos: (target.low + target.high) / 2,
            range: { low: target.low, high: target.high },
          })),
        },
      };

/** A rule as it works on a played market, night by night, within its rails. */
export function rulePolicy(rule: Rule): Policy {
  let last: string | null = null;
  return (market, memory) => {
    if (!isDue(rule, last, market.today)) return;
    last = market.today;
    const { prepared: seen, dry } = withDryDays(market, memory);
    const prepared = aimedAt(seen, rule.target);
    const settings = settingsOfRule(rule, market);
    if (rule.work === 'budgets') {
      const { campaigns } = market.books;
      const plan = planBudgets(
        prepared,
        settings,
        campaigns.map(({ budget, state }) => ({ budget, isRunning: state === 'enabled', locked: null })),
        { means: 'sum stays', sum: campaigns.reduce((sum, { budget }) => sum + budget, 0) },
        dry,
        market.scenario.limits,
      );
      for (const { campaign, to } of plan.proposals) if (to !== null) campaigns[campaign].budget = to;
      return;
    }
    const { proposals } = decideBids(prepared, settings);
    for (const { target, to } of chosen(proposals, rule)) {
      if (to <= 0) market.books.targets[target].state = 'paused';
      else market.books.targets[target].bid = to;
    }
  };
}

/** The proposals that a rule takes, those that matter most first, as many as a night may have. */
function chosen(proposals: readonly BidProposal[], { work, tests, least, most }: Rule): BidProposal[] {
  const steps = work === 'dead' ? ['dead'] : ['over', 'grow', ...(tests ? ['test'] : [])];
  const wanted = proposals.filter(
    ({ step, from, to, clicks, orders }) =>
      steps.includes(step) && to !== from && clicks >= least.clicks && orders >= least.orders,
  );
  const matters = ({ now, after }: BidProposal) =>
    Math.abs(after.sales - now.sales) + Math.abs(after.spend - now.spend);
  let room = most.spend;
  return wanted
    .sort((a, b) => matters(b) - matters(a))
    .slice(0, most.changes)
    .filter(({ now, after }) => {
      const more = after.spend - now.spend;
      if (more > room) return false;
      room -= Math.max(0, more);
      return true;
    });
}
