import { decideBids } from '../../core/bids';
import { planBudgets } from '../../core/budgets';
import { findMoney, planMoney, stageMoves } from '../../core/growth';
import type { GrowthCampaign } from '../../core/growth';
import type { Rule } from '../../core/rules';
import { daysIn, formatMoney } from '../../core/units';
import type { SimCampaign } from '../../market/sim';
import { withDryDays } from '../budgetPolicies';
import type { PlayedMarket } from '../playedMarket';
import type { Policy } from '../policies';
import { visibleTargets } from './figures';
import type { Figures } from './figures';
import { moveUp, tryTargets } from './growthFind';
import { missing } from './growthMakes';
import { campaignOf } from './growthNight';
import type { Member, Night } from './growthNight';
import { aimedAt, settingsOfRule } from './works/settings';

/** The days by which a campaign is judged, and those whose orders are still coming in. */
const JUDGED_DAYS = 28;
const LATE_DAYS = 5;

/** A growth plan as it works on a played market. */
export interface GrowthPlay {
  policy: Policy;
  /** What it did, in words, by the day from 1. */
  moves: { day: number; words: string }[];
}

/** A growth plan of the first product of a market, night by night. @param isNew it has no campaigns yet; else all it has are taken in */
export function growthPlay(rule: Rule, isNew: boolean): GrowthPlay {
  const plan = rule.growth!;
  const members = new Map<string, Member>();
  const changed = new Map<string, string>();
  const moves: GrowthPlay['moves'] = [];
  let began: string | null = null;
  const policy: Policy = (market, memory) => {
    if (began === null) {
      began = market.today;
      if (!isNew) takeIn(market, members);
    }
    const day = daysIn(began, market.today);
    const tell = (words: string) => moves.push({ day, words });
    night({ market, memory, plan, rule, members, changed, tell });
  };
  return { policy, moves };
}

/** All campaigns of the first product: what looks for terms finds, what bids on known ones is tuned. */
function takeIn({ books, world, today }: PlayedMarket, members: Map<string, Member>): void {
  const own = new Set(
    books.ads.flatMap((ad) => (ad.productId === world.products[0].id ? [ad.adGroupId] : [])),
  );
  for (const { id, campaignId } of books.adGroups) {
    if (!own.has(id)) continue;
    const looks = books.targets.some(
      (target) =>
        target.adGroupId === id && (target.kind === 'auto' || (target.match ?? 'exact') !== 'exact'),
    );
    members.set(campaignId, { stage: looks ? 'find' : 'tune', since: today });
  }
}

function night(at: Night): void {
  const { market, memory, plan, rule, members, tell } = at;
  const { books, scenario } = market;
  const seen = visibleTargets(market);
  tryTargets(at, seen);
  moveUp(at);
  const { prepared: bare, dry } = withDryDays(market, memory);
  const prepared = aimedAt(bare, rule.target);
  const settings = settingsOfRule(rule, market);
  const needs = planBudgets(
    prepared,
    settings,
    books.campaigns.map(({ id, budget, state }) => ({
      budget,
      isRunning: members.has(id) && state === 'enabled',
      locked: null,
    })),
    { means: 'sum stays', sum: Math.max(0, plan.total - findMoney(plan, scenario.limits)) },
    dry,
    scenario.limits,
  ).proposals;
  if (plan.tune.isOn) {
    const { proposals } = decideBids(prepared, settings);
    for (const { target, to, from, orders, step } of proposals) {
      const { adGroupId } = books.targets[target];
      const member = members.get(campaignOf(market, adGroupId));
      const isTuned = member && (member.stage !== 'find' || orders > 0);
      if (isTuned && to > 0 && to !== from && (step === 'over' || step === 'grow'))
        books.targets[target].bid = to;
    }
  }
  const campaigns = books.campaigns.flatMap((one, index): GrowthCampaign[] => {
    const member = members.get(one.id);
    return member ? [standing(at, one, member, index, needs[index], seen)] : [];
  });
  const makes = missing(at);
  const money = planMoney(
    plan,
    [
      ...campaigns,
      ...makes.map(({ stage, need, name }, index) => ({
        ...NOTHING,
        id: -1 - index,
        name,
        stage,
        need,
        isRunning: true,
        isCounted: true,
        isDraft: false,
      })),
    ],
    scenario.limits,
  );
  for (const { campaign, from, to } of money.budgets) {
    if (campaign < 0) {
      const { make, stage, name } = makes[-1 - campaign];
      const id = make(to);
      members.set(id, { stage, since: market.today });
      tell(`made “${name}” with ${formatMoney(to)} a day`);
    } else {
      books.campaigns[campaign].budget = to;
      tell(`budget of “${books.campaigns[campaign].name}” ${formatMoney(from)} to ${formatMoney(to)}`);
    }
  }
  const range = rule.target ?? { low: scenario.targetAcos, high: scenario.targetAcos };
  for (const { campaign, to } of stageMoves(campaigns, plan, range)) {
    const { id, name } = books.campaigns[campaign];
    members.set(id, { stage: to, since: market.today });
    tell(`“${name}” goes on: ${to}`);
  }
}

const NOTHING = { budget: 0, days: 0, spend: 0, orders: 0, sales: 0 };

function standing(
  { market }: Night,
  { id, name, budget, state }: SimCampaign,
  { stage, since }: Member,
  index: number,
  need: { need: number; now: { clicks: number } },
  seen: ReadonlyMap<string, Figures>,
): GrowthCampaign {
  const groups = new Set(market.books.adGroups.flatMap((one) => (one.campaignId === id ? [one.id] : [])));
  const own = market.books.targets.filter(({ adGroupId }) => groups.has(adGroupId));
  const days = Math.min(JUDGED_DAYS, Math.max(0, daysIn(since, market.today) - 1 - LATE_DAYS));
  const sum = { spend: 0, orders: 0, sales: 0 };
  for (const target of own) {
    const figures = seen.get(target.id);
    for (const key of ['spend', 'orders', 'sales'] as const) sum[key] += figures?.[key] ?? 0;
  }
  return {
    id: index,
    name,
    stage,
    budget,
    isRunning: state === 'enabled' && own.some((target) => target.state === 'enabled'),
    isCounted: state === 'enabled',
    isDraft: false,
    need: need.now.clicks > 0 ? need.need : null,
    days,
    ...sum,
  };
}
