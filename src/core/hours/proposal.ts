import { OFF } from '../schedules';
import type { Week } from '../schedules';
import { hourBlocks } from './blocks';
import { CELLS } from './cells';
import type { HoursWorth } from './worth';

/**
 * Clicks of an hour ~ bid to this power, so that a week that follows a pattern gains 0.85 of its variance, as such weeks do in played markets (0.6 p + 0.75 p^2
 * = 0.85): less than bids that stand all day, for what is not won in one hour is bought in another. Cost per click ~ bid to the 0.8, as in the bid engine.
 */
const CLICK_POWER = 0.74;
export const SPEND_POWER = CLICK_POWER + 0.8;

/** A week of percentages that follows how clicks sell. */
export interface WeekProposal {
  week: Week;
  blocks: number;
  /** Share of sales that it is expected to gain at the same ACOS, and what single hours would gain. */
  gain: number;
  wholeGain: number;
  /** Where schedules can only raise: base bids go with it times this; 1 elsewhere. */
  bases: number;
}

/**
 * The week that is proposed: the factors of the hours, merged into blocks, times the one multiplier that leaves the ACOS where it is. Where a market's
 * schedules can only raise bids, base bids are lowered to the least hour and raised from there.
 * @param spend by cell, any unit @param clicks by cell
 */
export function proposeWeek(
  { clicks, spend, factor }: Record<'clicks' | 'spend' | 'factor', ArrayLike<number>>,
  { gain }: Pick<HoursWorth, 'gain'>,
  raisesOnly: boolean,
): WeekProposal {
  const { count, factor: merged, kept } = hourBlocks(clicks, factor);
  const rho = acosKept(spend, merged);
  const bids = merged.map((one) => rho * one);
  const bases = raisesOnly ? bids.reduce((least, one) => Math.min(least, one), Infinity) : 1;
  return {
    week: Array.from(bids, (one) => Math.max(OFF, Math.round(100 * (one / bases - 1)))),
    blocks: count,
    gain: gain * kept,
    wholeGain: gain,
    bases,
  };
}

/** The multiplier at which bids that follow the factors bring the ACOS that is now: rho^0.8 = (S w m^(1+p) / S w m^(p+.8)) (S w / S w m), w spend. */
function acosKept(spend: ArrayLike<number>, factor: ArrayLike<number>): number {
  const sum = (power: number) => {
    let all = 0;
    for (let cell = 0; cell < CELLS; cell += 1) all += spend[cell] * factor[cell] ** power;
    return all;
  };
  const now = sum(1);
  return now > 0
    ? ((sum(1 + CLICK_POWER) / sum(SPEND_POWER)) * (sum(0) / now)) ** (1 / (SPEND_POWER - CLICK_POWER))
    : 1;
}

/** What a week moves of what came without it, same unit and span. */
export interface WeekMoves {
  spend: number;
  sales: number;
  /** What the hours that it switches off spent and sold. */
  offSpend: number;
  offSales: number;
  offHours: number;
}

/**
 * What a week of percentages does to a part's money: sales go with bids to the 0.74, spend to the 1.54; what is off brings nothing. Sales of single hours are
 * chance: the sum is spread over the hours by spend x factor.
 */
export function weekMoves(
  week: Week,
  { spend, sales, factor }: { spend: ArrayLike<number>; sales: number; factor: ArrayLike<number> },
): WeekMoves {
  let all = 0;
  for (let cell = 0; cell < CELLS; cell += 1) all += spend[cell] * factor[cell];
  const moves: WeekMoves = { spend: 0, sales: 0, offSpend: 0, offSales: 0, offHours: 0 };
  for (let cell = 0; cell < CELLS; cell += 1) {
    const bid = 1 + week[cell] / 100;
    const sold = all > 0 ? (sales * spend[cell] * factor[cell]) / all : 0;
    moves.spend += spend[cell] * (bid ** SPEND_POWER - 1);
    moves.sales += sold * (bid ** CLICK_POWER - 1);
    if (week[cell] !== OFF) continue;
    moves.offHours += 1;
    moves.offSpend += spend[cell];
    moves.offSales += sold;
  }
  return moves;
}
