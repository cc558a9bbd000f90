import type { EvidenceGrade } from '../evidence';
import type { Micros } from '../units';
import { CPC_ELASTICITY } from './exposures';
import type { BroughtAlong } from './observations';

/** Which queue of the round a proposal belongs to; none: nothing is proposed. A test raises what is not proven yet. */
export type BidStep = 'dead' | 'over' | 'grow' | 'test' | 'none';
/** Why a target is left alone although another bid is wanted. */
export type Left =
  | 'not running'
  | 'in range'
  | 'hold'
  | 'second step'
  | 'days since disagree'
  | 'too small'
  | 'would pass target'
  | 'thin evidence'
  | 'runs dry'
  | 'test cap'
  | 'one price'
  | null;

/** What a month of a target comes to. Money in micros. */
export interface Month {
  clicks: number;
  spend: number;
  sales: number;
}

/** What a target did since it was last changed. */
export interface SinceChange {
  /** Full days since the change. */
  daysAgo: number;
  /** Its bid before, micros; null where something else was changed, or it was made. */
  from: Micros | null;
  /** Days since then whose orders are in. */
  settledDays: number;
  clicks: number;
  orders: number;
}

/** What a test is to find out, and what it costs a month at most. Micros. */
export interface TestWorth {
  /** What it earns above the target if it proves good. */
  gain: Micros;
  /** Chance that it does: that it reaches the conversion it needs at the raised bid. */
  chance: number;
  /** What it costs more at most: every click at the full bid. */
  cost: Micros;
}

/** What is proposed for one target, with everything it was decided on. */
export interface BidProposal {
  target: number;
  step: BidStep;
  left: Left;
  from: Micros;
  /** After step limits, rounding and the market's limits; as it is where it is left alone; 0: it is paused, where clicks have one price. */
  to: Micros;
  /** What it would be bid without step limits; a raise no further than where it reaches its target ACOS by itself. */
  wanted: Micros;
  /** Target ACOS that it is aimed at: its own, or the nearer edge of its range; share. */
  aim: number;
  /** Effective bid / bid: what the modifiers of its placements add. */
  raise: number;
  /** What is bid of a click's worth so that its whole scope lands on the target, share. */
  rho: number;
  clicks: number;
  orders: number;
  /** Estimated orders per click with its 80 % interval, and what is usual there. */
  conversion: { mean: number; low: number; high: number; usual: number; grade: EvidenceGrade };
  /** Clicks that count for its conversion: weighted by the orders that are in and by what their placements are worth. */
  exposure: number;
  /** Clicks, orders and sales of its words (or item) elsewhere before it was made: they count for its estimate. */
  before: BroughtAlong | null;
  /** Revenue per click of its campaign's mix of placements with its 80 % interval, cost per click, micros. */
  rpc: Micros;
  rpcLow: Micros;
  rpcHigh: Micros;
  cpc: Micros;
  /** Cost per click that is expected at the proposed bid. */
  cpcAfter: Micros;
  /** Conversion that the target ACOS needs at the present cost per click, and the chance that it is reached. */
  needed: number;
  chance: number;
  now: Month;
  after: Month;
  /** Of `after`, what its move frees of its campaign's budget for other clicks, or takes. */
  freed: Month;
  /** Null: never changed. */
  since: SinceChange | null;
  /** Whether it goes on with its last move though nothing new is known since. */
  isSecondStep: boolean;
  test: TestWorth | null;
}

/** Cost per click that is expected at another bid, micros: it goes with the bid to the 0.8. */
export function cpcAt({ cpc, from }: Pick<BidProposal, 'cpc' | 'from'>, bid: Micros): Micros {
  return from > 0 ? cpc * (bid / from) ** CPC_ELASTICITY : cpc;
}

/** What a month comes to at another bid: clicks ~ bid, cost per click ~ bid to the 0.8. @param x bid after / bid now */
export function monthAt(now: Month, x: number): Month {
  return { clicks: now.clicks * x, spend: now.spend * x ** (1 + CPC_ELASTICITY), sales: now.sales * x };
}
