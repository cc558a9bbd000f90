import { planBudgets } from '../core/budgets';
import type { MissedSales } from '../core/budgets';
import { USUAL_SETTINGS } from '../core/bids';
import { lieWrong, withDryDays } from './budgetPolicies';
import type { BudgetWorld } from './budgetPolicies';
import { BidMemory } from './observe';
import { PlayedMarket } from './playedMarket';
import { trialScenario } from './runTrial';
import type { Market, WorldName } from './runTrial';

/** What a campaign that ran dry was told to have missed, and what it did miss. */
export interface PlayedMiss {
  told: MissedSales;
  /** Micros. */
  missed: number;
}

const DAYS = 28;
/** What a click is worth is only known from many of them: days on which all campaigns are open, played further on. */
const WORTH_DAYS = 150;
/** A budget that nothing reaches, micros. */
export const ENDLESS = 1e15;
/** Days that miss so few clicks are told with them, and judged by nobody. */
const LEAST_CLICKS = 3;

/**
 * Plays 28 days whose budgets lie wrong, and plays them again for each campaign that ran dry with money enough for that one alone. What it
 * then clicked more, at what its clicks are worth in the long run, is what was missed.
 */
export function playMissed(
  seed: number,
  budgets: BudgetWorld,
  kind: Market = 'small',
  world: WorldName = 'base',
): PlayedMiss[] {
  const scenario = trialScenario(seed, kind, world);
  const market = new PlayedMarket(scenario);
  const memory = new BidMemory();
  memory.note(market);
  market.play(scenario.days);
  lieWrong(market, budgets);
  memory.note(market);
  const from = market.days.length;
  const clicksAfter = (played: PlayedMarket, at: number) => {
    played.play(DAYS);
    return campaignSums(played, at, from).clicks;
  };
  const opened = market.copy();
  for (const campaign of opened.books.campaigns) campaign.budget = ENDLESS;
  opened.play(WORTH_DAYS);
  const alone = market.books.campaigns.map((_, at) => {
    const copy = market.copy();
    copy.books.campaigns[at].budget = ENDLESS;
    return () => clicksAfter(copy, at);
  });
  market.play(DAYS);
  const { prepared, dry } = withDryDays(market, memory);
  const campaigns = market.books.campaigns.map(({ budget }) => ({ budget, isRunning: true, locked: null }));
  const total = { means: 'sum stays' as const, sum: campaigns.reduce((sum, one) => sum + one.budget, 0) };
  const plan = planBudgets(prepared, USUAL_SETTINGS, campaigns, total, dry, scenario.limits);
  return plan.proposals.flatMap(({ campaign, missed: told }) => {
    if (told.clicks < LEAST_CLICKS || dry.campaigns[campaign].isLeast) return [];
    const { clicks, sales } = campaignSums(opened, campaign, 0);
    const more = alone[campaign]() - campaignSums(market, campaign, from).clicks;
    return [{ told, missed: clicks > 0 ? (more * sales) / clicks : 0 }];
  });
}

/** Clicks of a campaign from a day on, and the sales that followed however late. */
function campaignSums({ books, days }: PlayedMarket, at: number, from: number) {
  const { id } = books.campaigns[at];
  const sums = { clicks: 0, sales: 0 };
  for (const { hours, late } of days.slice(from)) {
    for (const one of hours) {
      if (one.campaignId !== id) continue;
      sums.clicks += one.clicks;
      sums.sales += one.sales;
    }
    for (const one of late) if (one.campaignId === id) sums.sales += one.sales;
  }
  return sums;
}
