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

/** Markets to play: few targets that most have shown what they are worth; or a long tail of targets that hardly sold yet. */
export const MARKETS = {
  small: {},
  tail: { targetsPerProduct: 110, tailQueries: 800, itemQueries: 30, headVolume: 70 },
} as const satisfies Record<string, Partial<Scenario>>;
export type Market = keyof typeof MARKETS;

/** A market of its own for a seed: the same seed is the same market for every policy. */
export function trialScenario(seed: number, market: Market = 'small'): Scenario {
  return { ...smallScenario(), ...MARKETS[market], seed, days: HISTORY_DAYS };
}

/** Plays a market week by week under a policy. The same seed, weeks and policy give the same figures. */
export function runTrial(seed: number, weeks: number, policy: Policy, kind: Market = 'small'): Week[] {
  const market = new PlayedMarket(trialScenario(seed, kind));
  const memory = new BidMemory();
  memory.note(market);
  market.play(HISTORY_DAYS);
  const result: Week[] = [];
  for (let week = 0; week < weeks; week += 1) {
    policy(market, memory);
    memory.note(market);
    market.play(7);
    const from = HISTORY_DAYS + week * 7;
    const sums = market.sums(from, from + 7);
    result.push({
      ...sums,
      acos: sums.sales > 0 ? sums.spend / sums.sales : null,
      profit: MARGIN * sums.sales - sums.spend,
    });
  }
  return result;
}
