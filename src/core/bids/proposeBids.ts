import { chanceToReach, estimateConversion } from '../evidence';
import type { EvidenceGrade } from '../evidence';
import type { Micros } from '../units';
import { calibrate } from './calibrate';
import { CPC_ELASTICITY, exposuresOf } from './exposures';
import type { Exposures } from './exposures';
import { campaignPlans } from './modifiers';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, BidSettings } from './observations';
import { placementFactors } from './placementFactors';
import { priorsOf } from './priors';
import type { Priors } from './priors';
import { solve } from './solve';
import type { Solution } from './solve';
import { worthsOf } from './worths';
import type { Worths } from './worths';

/** Which step of the round a proposal belongs to; none: nothing is proposed. */
export type BidStep = 'dead' | 'over' | 'grow' | 'none';
/** Why a target is left alone although another bid is wanted. */
export type Left = 'not running' | 'cool-down' | 'too small' | null;

/** What a month of a target comes to. Money in micros. */
export interface Month {
  clicks: number;
  spend: number;
  sales: number;
}

/** What is proposed for one target, with everything it was decided on. */
export interface BidProposal {
  target: number;
  step: BidStep;
  left: Left;
  from: Micros;
  /** After step limits, rounding and the market's limits; as it is where it is left alone. */
  to: Micros;
  /** What it would be bid without step limits. */
  wanted: Micros;
  clicks: number;
  orders: number;
  /** Estimated orders per click with its 80 % interval, and what is usual there. */
  conversion: { mean: number; low: number; high: number; usual: number; grade: EvidenceGrade };
  /** Revenue per click of its campaign's mix of placements, cost per click, micros. */
  rpc: Micros;
  cpc: Micros;
  /** Conversion that the target ACOS needs at the present cost per click, and the chance that it is reached. */
  needed: number;
  chance: number;
  now: Month;
  after: Month;
}

/** A round of bids and modifiers, solved together. */
export interface BidPlan {
  proposals: BidProposal[];
  /** Modifiers that change, by campaign and placement, as shares. */
  modifiers: { campaign: number; placement: number; from: number; to: number }[];
  /** How far each campaign's bids are held because it runs dry: hand it back the next time. */
  held: number[];
  /** What the estimates were off by lately; 1: right. */
  kappa: number;
  /** Weight of the prior, in orders. */
  strength: number;
}

const DAYS_PER_MONTH = 30.4;
const DEAD_CHANCE = 0.2;

/**
 * A bid for every target, and the modifiers beside them, from plain data: the same observations and settings give the same
 * plan. Linear in targets and days. Steps and sources: see docs/method.md, "Bids".
 */
export function proposeBids(observations: BidObservations, settings: BidSettings): BidPlan {
  const factors = placementFactors(observations);
  const exposures = exposuresOf(observations, factors);
  const priors = priorsOf(observations, exposures);
  const worths = worthsOf(observations, exposures, priors);
  const plans = campaignPlans(observations, factors, settings);
  const kappa = calibrate(observations, factors, worths, priors.accountValue);
  const solution = solve(observations, settings, exposures, worths, plans, kappa);
  const parts = { observations, settings, exposures, priors, worths, plans, solution, kappa };
  return {
    proposals: observations.targets.map((_, target) => proposalOf(target, parts)),
    modifiers: plans.flatMap(({ modifiers }, campaign) =>
      modifiers.flatMap((to, placement) => {
        const from = observations.campaigns[campaign].modifiers[placement];
        return to === from ? [] : [{ campaign, placement, from, to }];
      }),
    ),
    held: plans.map(({ held }) => held),
    kappa,
    strength: priors.strength,
  };
}

interface Parts {
  observations: BidObservations;
  settings: BidSettings;
  exposures: Exposures;
  priors: Priors;
  worths: Worths;
  plans: CampaignPlan[];
  solution: Solution;
  kappa: number;
}

function proposalOf(target: number, parts: Parts): BidProposal {
  const { observations, settings, exposures, priors, worths, plans, solution, kappa } = parts;
  const { bid, campaign, scope } = observations.targets[target];
  const { exposure, orders, clicks, flow, cpc } = exposures;
  const prior = { mean: priors.mean[target], strength: priors.strength };
  const { mean, low, high, grade } = estimateConversion(exposure[target], orders[target], prior);
  const { mix } = plans[campaign];
  const acos = observations.scopes[scope].targetAcos;
  const needed = cpc[target] / (acos * worths.value[target] * mix);
  const chance = needed > 0 ? chanceToReach(needed, exposure[target], orders[target], prior) : 1;
  const to = roundedBid(bid, solution.move[target], settings);
  const left = leftAlone(observations.targets[target], to, settings);
  const month = (x: number): Month => ({
    clicks: flow[target] * x * DAYS_PER_MONTH,
    spend: flow[target] * cpc[target] * x ** (1 + CPC_ELASTICITY) * DAYS_PER_MONTH,
    sales: kappa * flow[target] * x * worths.rpc[target] * mix * DAYS_PER_MONTH,
  });
  const bidAfter = left === null ? to : bid;
  return {
    target,
    step: stepOf(left, bid, to, orders[target], chance),
    left,
    from: bid,
    to: bidAfter,
    wanted: Math.round(solution.wanted[target]),
    clicks: clicks[target],
    orders: orders[target],
    conversion: { mean, low, high, usual: priors.mean[target], grade },
    rpc: worths.rpc[target] * mix,
    cpc: cpc[target],
    needed,
    chance,
    now: month(1),
    after: month(bid > 0 ? bidAfter / bid : 1),
  };
}

/** On the market's step and within its limits: down for a decrease, up for an increase only where the step would vanish. */
function roundedBid(bid: Micros, move: number, { limits }: BidSettings): Micros {
  const { bidStep, minBid, maxBid } = limits;
  const wanted = (bid * move) / bidStep;
  const nearest = move < 1 ? Math.floor(wanted + 1e-9) : Math.floor(wanted + 1e-9) || 1;
  const steps = move > 1 && nearest * bidStep <= bid ? Math.ceil(wanted - 1e-9) : nearest;
  return Math.min(maxBid, Math.max(minBid, steps * bidStep));
}

function leftAlone(
  { bid, isRunning, daysSinceChange }: BidObservations['targets'][number],
  to: Micros,
  { coolDown, leastMove }: BidSettings,
): Left {
  if (!isRunning) return 'not running';
  if (bid <= 0 || Math.abs(to / bid - 1) < leastMove) return 'too small';
  return daysSinceChange !== null && daysSinceChange < coolDown ? 'cool-down' : null;
}

function stepOf(left: Left, from: Micros, to: Micros, orders: number, chance: number): BidStep {
  if (left !== null || to === from) return 'none';
  if (to > from) return 'grow';
  return orders === 0 && chance < DEAD_CHANCE ? 'dead' : 'over';
}
