import { smallScenario } from '../market/sim';
import type { Scenario } from '../market/sim';
import { BidMemory, MARGIN } from './observe';
import { PlayedMarket } from './playedMarket';
import type { WeekSums } from './playedMarket';
import type { Policy } from './policies';

/** A week of a trial; profit = margin x sales - spend. Money in micros. */
export type Week = WeekSums & { acos: number | null; profit: number };

/** Days a market is played before anything is decided. */
const HISTORY_DAYS = 60;

/** What a market is like: the usual one, or unlike it in one thing. */
export const WORLDS = {
  base: {},
  'half own price': { nature: { ownBidPrice: 0.5 } },
  'own price': { nature: { ownBidPrice: 1 } },
  drift: { nature: { drift: 2.5 } },
  worthless: { nature: { worthless: 0.5 } },
  flat: { nature: { flatPlacements: true } },
  short: { days: 14 },
} as const satisfies Record<string, Partial<Scenario>>;
export type WorldName = keyof typeof WORLDS;

/** Markets to play: few targets that most have shown what they are worth; or a long tail of targets that hardly sold yet. */
export const MARKETS = {
  small: {},
  medium: { targetsPerProduct: 60, tailQueries: 300, itemQueries: 20, headVolume: 110 },
  tail: { targetsPerProduct: 110, tailQueries: 800, itemQueries: 30, headVolume: 70 },
} as const satisfies Record<string, Partial<Scenario>>;
export type Market = keyof typeof MARKETS;

/** A market of its own for a seed: the same seed is the same market for every policy. */
export function trialScenario(seed: number, market: Market = 'small', world: WorldName = 'base'): Scenario {
  return { ...smallScenario(), days: HISTORY_DAYS, ...MARKETS[market], ...WORLDS[world], seed };
}

/**
 * Plays a market week by week under a policy, once `begin` has set it up. The same seed, weeks and policy give the same figures.
 * @param every the policy decides every so many days: 7, or 1 for each night
 */
export function runTrial(
  seed: number,
  weeks: number,
  policy: Policy,
  kind: Market = 'small',
  world: WorldName = 'base',
  begin: (market: PlayedMarket) => void = () => {},
  every = 7,
): Week[] {
  return playScenario(trialScenario(seed, kind, world), weeks, policy, begin, every);
}

/** The same of any market. @param sums of days, from and to, counted from the first; left out: of all campaigns */
export function playScenario(
  scenario: Scenario,
  weeks: number,
  policy: Policy,
  begin: (market: PlayedMarket) => void = () => {},
  every = 7,
  sumsOf: (market: PlayedMarket, from: number, to: number) => WeekSums = (market, from, to) =>
    market.sums(from, to),
): Week[] {
  const market = new PlayedMarket(scenario);
  const memory = new BidMemory();
  memory.note(market);
  market.play(scenario.days);
  begin(market);
  const result: Week[] = [];
  for (let week = 0; week < weeks; week += 1) {
    for (let played = 0; played < 7; played += every) {
      policy(market, memory);
      memory.note(market);
      market.play(Math.min(every, 7 - played));
    }
    const from = scenario.days + week * 7;
    const sums = sumsOf(market, from, from + 7);
    result.push({
      ...sums,
      acos: sums.sales > 0 ? sums.spend / sums.sales : null,
      profit: MARGIN * sums.sales - sums.spend,
    });
  }
  return result;
}
