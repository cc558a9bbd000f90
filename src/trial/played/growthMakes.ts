import { findMoney } from '../../core/growth';
import type { Stage } from '../../core/growth';
import type { Night } from './growthNight';
import { makeCampaign } from './makeCampaign';

const HOME_SHARE = 0.1;

/** The campaigns that the plan lacks. */
export function missing({ market, plan, members }: Night) {
  const { scenario, world } = market;
  const has = (stages: readonly Stage[], match: (kind: string, match: string | null) => boolean) =>
    market.books.adGroups.some(({ id, campaignId, name }) => {
      const member = members.get(campaignId);
      if (!member || !stages.includes(member.stage)) return false;
      return name === 'exact home'
        ? match('home', null)
        : market.books.targets.some((one) => one.adGroupId === id && match(one.kind, one.match));
    });
  const product = world.products[0];
  const makes: { stage: Stage; name: string; need: number; make: (budget: number) => string }[] = [];
  const { automatic, isOn, terms, bid } = plan.find;
  const groups = scenario.options.autoGroups;
  if (isOn && automatic && groups.length > 0 && !has(['find'], (kind) => kind === 'auto'))
    makes.push({
      stage: 'find',
      name: 'automatic',
      need: findMoney(plan, scenario.limits),
      make: (budget) =>
        makeCampaign(
          market,
          product.id,
          'automatic',
          budget,
          bid,
          groups.map((expression) => ({ kind: 'auto', match: null, expression })),
        ),
    });
  const match = scenario.options.matches.includes('broad') ? 'broad' : 'phrase';
  // What the plan's own terms are to its product, the words that shoppers use are to the played one.
  const heads = scenario.products[0].heads.slice(0, terms.length);
  if (isOn && heads.length > 0 && !has(['find'], (_, own) => own === match))
    makes.push({
      stage: 'find',
      name: match,
      need: findMoney(plan, scenario.limits),
      make: (budget) =>
        makeCampaign(
          market,
          product.id,
          match,
          budget,
          bid,
          heads.map((expression) => ({ kind: 'keyword', match, expression })),
        ),
    });
  if (plan.tune.isOn && !has(['tune', 'grow'], (kind, own) => kind === 'home' || own === 'exact'))
    makes.push({
      stage: 'tune',
      name: 'exact home',
      need: Math.max(scenario.limits.minBudget, plan.total * HOME_SHARE),
      make: (budget) => makeCampaign(market, product.id, 'exact home', budget, bid, []),
    });
  return makes;
}
