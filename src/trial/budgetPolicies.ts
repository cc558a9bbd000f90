import { DRY_DAYS, findDry, HOURS, moneyGoal, planBudgets } from '../core/budgets';
import type { BudgetTotal, CampaignDays, RanDry } from '../core/budgets';
import { decideBids, PACES, prepareBids, USUAL_SETTINGS } from '../core/bids';
import type { BidSettings, Pace, PreparedBids } from '../core/bids';
import { dayNumber } from '../core/units';
import { PLACEMENTS } from '../market/sim';
import { observe } from './observe';
import type { BidMemory } from './observe';
import type { PlayedMarket } from './playedMarket';
import type { Policy } from './policies';

/** What is done with budgets in a trial: nothing, a simple rule, or the plan. */
export type BudgetWay = 'leave' | 'rule' | 'plan' | 'money';
export const BUDGET_WAYS: readonly BudgetWay[] = ['leave', 'rule', 'plan', 'money'];

/** How much money there is for what clicks would cost; how it lies is left to chance. */
export const BUDGET_WORLDS = { loose: 1.5, scarce: 0.6 } as const;
export type BudgetWorld = keyof typeof BUDGET_WORLDS;

/** How differently from what they spend budgets lie: standard deviation of the logarithm. */
const SPREAD = 0.8;

/** Gives a market's campaigns budgets that come to so much of what they spent, with much in the wrong place. */
export function lieWrong(market: PlayedMarket, world: BudgetWorld): void {
  const { books, days, scenario } = market;
  const spent = new Map<string, number>();
  for (const { hours } of days)
    for (const { campaignId, spend } of hours) spent.set(campaignId, (spent.get(campaignId) ?? 0) + spend);
  let seed = scenario.seed * 7919;
  const chance = () => {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
    return (seed % 100_003) / 100_003;
  };
  const weights = books.campaigns.map(({ id }) => {
    const normal = Math.sqrt(-2 * Math.log(chance() + 1e-9)) * Math.cos(2 * Math.PI * chance());
    return ((spent.get(id) ?? 0) / days.length) * Math.exp(SPREAD * normal);
  });
  const sum = (list: number[]) => list.reduce((all, one) => all + one, 0);
  const total = (BUDGET_WORLDS[world] * sum([...spent.values()])) / days.length;
  books.campaigns.forEach((campaign, at) => {
    campaign.budget = Math.max(
      scenario.limits.minBudget,
      Math.round((total * weights[at]) / sum(weights) / 10_000) * 10_000,
    );
    campaign.budgetKind = 'daily';
  });
}

/** Mowing's bids and modifiers with a way of setting budgets beside them. */
export function withBudgets(way: BudgetWay, pace: Pace = 'steady'): Policy {
  let daily: number | null = null;
  return (market, memory) => {
    const { books, scenario } = market;
    const { modifiers } = scenario.options;
    daily ??= books.campaigns.reduce((sum, { budget }) => sum + budget, 0);
    const { prepared, dry } = withDryDays(market, memory);
    let settings: BidSettings = {
      ...USUAL_SETTINGS,
      step: PACES[pace],
      limits: scenario.limits,
      modifiers: [modifiers.includes('top'), modifiers.includes('rest'), modifiers.includes('pages')],
    };
    if (way === 'rule') byRule(market);
    if (way === 'plan' || way === 'money') {
      const total: BudgetTotal =
        way === 'plan'
          ? { means: 'sum stays', sum: books.campaigns.reduce((sum, { budget }) => sum + budget, 0) }
          : { means: 'money', daily, goal: goalOf(market, daily), over: 1.25 };
      if (total.means === 'money') settings = { ...settings, mostSpend: total.goal };
      const plan = planBudgets(
        prepared,
        settings,
        books.campaigns.map(({ budget, state }) => ({
          budget,
          isRunning: state === 'enabled',
          locked: null,
        })),
        total,
        dry,
        scenario.limits,
      );
      settings = { ...settings, mostMultiplier: plan.multiplier };
      for (const { campaign, to } of plan.proposals) if (to !== null) books.campaigns[campaign].budget = to;
    }
    const campaigns = prepared.observations.campaigns.map((one, at) => ({
      ...one,
      budget: books.campaigns[at].budget,
    }));
    const plan = decideBids({ ...prepared, observations: { ...prepared.observations, campaigns } }, settings);
    for (const { target, to, from } of plan.proposals) if (to !== from) books.targets[target].bid = to;
    for (const { campaign, placement, to } of plan.modifiers)
      books.campaigns[campaign].modifiers[PLACEMENTS[placement]] = to;
  };
}

/** What a market's seller can see today, with the days on which campaigns ran out of money. */
export function withDryDays(
  market: PlayedMarket,
  memory: BidMemory,
): { prepared: PreparedBids; dry: RanDry } {
  const { campaigns } = market.books;
  const today = dayNumber(market.today);
  const campaignAt = new Map(campaigns.map(({ id }, at) => [id, at]));
  const dry = findDry(
    daysOf(market, campaignAt),
    campaigns.length,
    (campaign, age) => memory.budgetOn(campaign, today - 1 - age),
    (campaign) => campaigns[campaign].pacing === 'even',
  );
  const openDays = Float64Array.from(dry.campaigns, (one) => one.openDays);
  return { prepared: prepareBids({ ...observe(market, memory), openDays }), dry };
}

/** The days of all campaigns, summed over their hours, and the hours of the last of them. */
function daysOf(market: PlayedMarket, campaignAt: ReadonlyMap<string, number>): CampaignDays {
  const today = dayNumber(market.today);
  const byHour = new Array<number>(HOURS).fill(0);
  const rows = market.days.flatMap(({ day, hours }) =>
    hours.map(({ campaignId, hour, clicks, spend }) => {
      byHour[hour] += clicks;
      return { campaign: campaignAt.get(campaignId)!, age: today - 1 - dayNumber(day), hour, clicks, spend };
    }),
  );
  rows.sort((a, b) => a.campaign - b.campaign || a.age - b.age || a.hour - b.hour);
  const days: { campaign: number; age: number; clicks: number }[] = [];
  for (const { campaign, age, clicks } of rows) {
    const last = days.at(-1);
    if (last?.campaign === campaign && last.age === age) last.clicks += clicks;
    else days.push({ campaign, age, clicks });
  }
  const lately = rows.filter(({ age }) => age < DRY_DAYS);
  return {
    campaign: days.map((one) => one.campaign),
    age: days.map((one) => one.age),
    clicks: days.map((one) => one.clicks),
    byHour,
    hours: {
      campaign: lately.map((one) => one.campaign),
      age: lately.map((one) => one.age),
      hour: lately.map((one) => one.hour),
      clicks: lately.map((one) => one.clicks),
      spend: lately.map((one) => one.spend),
    },
  };
}

/** What may be spent a day for the rest of the month: months of 28 days, counted from the first decision. */
function goalOf(market: PlayedMarket, daily: number): number {
  const gone = (market.days.length - market.scenario.days) % 28;
  const from = market.days.length - gone;
  const { spend } = market.sums(from, market.days.length);
  return moneyGoal(daily, 28 * daily - spend, 28 - gone);
}

/** A simple rule: who spent 97 % of its budget on two days of a week gets a fifth more, out of those that spent under half. */
function byRule(market: PlayedMarket): void {
  const { books, days } = market;
  const week = days.slice(-7);
  const spentOn = (id: string) =>
    week.map(({ hours }) => hours.reduce((sum, one) => sum + (one.campaignId === id ? one.spend : 0), 0));
  const needy = books.campaigns.filter(
    ({ id, budget }) => spentOn(id).filter((spend) => spend >= 0.97 * budget).length >= 2,
  );
  const idle = books.campaigns.filter(
    ({ id, budget }) => spentOn(id).reduce((sum, one) => sum + one, 0) < 0.5 * 7 * budget,
  );
  const free = idle.reduce((sum, { budget }) => sum + 0.2 * budget, 0);
  const wanted = needy.reduce((sum, { budget }) => sum + 0.2 * budget, 0);
  const part = wanted > 0 ? Math.min(1, free / wanted) : 0;
  const taken = free > 0 ? (part * wanted) / free : 0;
  for (const campaign of needy) campaign.budget = Math.round(campaign.budget * (1 + 0.2 * part));
  for (const campaign of idle) campaign.budget = Math.round(campaign.budget * (1 - 0.2 * taken));
}
