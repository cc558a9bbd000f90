import type { Micros } from '../units';
import { needOf } from './need';

/** A running target of a campaign as far as its money goes. Micros a day where not told otherwise. */
export interface SpendingTarget {
  id: number;
  /** Whether it can stand in a campaign of its own: what it caught before has to be told of it alone. */
  canMove: boolean;
  orders: number;
  /** What its clicks cost, with money enough; and what a click brings and costs. */
  spend: Micros;
  rpc: Micros;
  cpc: Micros;
  targetAcos: number;
}

/** A target that deserves a campaign of its own. */
export interface StrongTarget {
  id: number;
  /** Share of what the clicks of the campaign cost. */
  share: number;
  acos: number;
  /** Budget that it needs to be stopped seldom, and what the old campaign needs without it. */
  budget: Micros;
  leaves: Micros;
}

/** It takes at least so much of the campaign, or the campaign ran dry on so many of its days. */
const [MOST_SHARE, FAIR_SHARE, OFTEN_DRY] = [0.5, 0.25, 0.25];
const LEAST_ORDERS = 5;
/** Days of usual spend that a budget has room for, in standard deviations. */
const ROOM = 1.5;
const CENT = 10_000;

/**
 * The target of a campaign that is on target and takes most of a budget that it shares: over half of it, or over a quarter where the
 * campaign often runs dry. Null where there is none.
 * @param dryShare share of the last days on which the campaign ran dry
 */
export function strongTarget(
  targets: readonly SpendingTarget[],
  dryShare: number,
  budget: Micros,
  least: Micros,
): StrongTarget | null {
  const all = targets.reduce((sum, { spend }) => sum + spend, 0);
  if (all <= 0 || targets.filter(({ spend }) => spend > 0).length < 2) return null;
  const strongest = targets.reduce((most, one) => (one.spend > most.spend ? one : most));
  const share = strongest.spend / all;
  const acos = strongest.rpc > 0 ? strongest.cpc / strongest.rpc : Infinity;
  const takesMuch = share > MOST_SHARE || (share > FAIR_SHARE && dryShare >= OFTEN_DRY);
  if (!strongest.canMove || strongest.orders < LEAST_ORDERS || acos > strongest.targetAcos || !takesMuch)
    return null;
  const inCents = (micros: Micros) => Math.ceil(micros / CENT) * CENT;
  const own = inCents(needOf(strongest.spend, strongest.cpc, ROOM, least));
  // Its money comes out of the old campaign, which keeps what the others need.
  return {
    id: strongest.id,
    share,
    acos,
    budget: own,
    leaves: inCents(Math.max(least, Math.min(budget, budget - strongest.spend))),
  };
}
