import { chanceToReach, estimateConversion, EVIDENCE_GRADES } from '../evidence';
import type { EvidenceGrade } from '../evidence';
import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import { CPC_ELASTICITY } from './exposures';
import { campaignPlans } from './modifiers';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, BidSettings } from './observations';
import { prepareBids } from './prepareBids';
import type { PreparedBids } from './prepareBids';
import { solve } from './solve';
import type { Solution } from './solve';

/** Which step of the round a proposal belongs to; none: nothing is proposed. */
export type BidStep = 'dead' | 'over' | 'grow' | 'none';
/** Why a target is left alone although another bid is wanted. */
export type Left = 'not running' | 'cool-down' | 'too small' | 'thin evidence' | 'runs dry' | null;

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
  /** What is bid of a click's worth so that its whole scope lands on the target, share. */
  rho: number;
  clicks: number;
  orders: number;
  /** Estimated orders per click with its 80 % interval, and what is usual there. */
  conversion: { mean: number; low: number; high: number; usual: number; grade: EvidenceGrade };
  /** Clicks that count for its conversion: weighted by the orders that are in and by what their placements are worth. */
  exposure: number;
  /** Revenue per click of its campaign's mix of placements with its 80 % interval, cost per click, micros. */
  rpc: Micros;
  rpcLow: Micros;
  rpcHigh: Micros;
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
  /** Share of the last week's days on which each campaign spent its budget; null without a daily one. */
  dry: (number | null)[];
  /** What the estimates were off by lately; 1: right. */
  kappa: number;
  /** Weight of the prior, in orders. */
  strength: number;
}

const DEAD_CHANCE = 0.2;

/**
 * A bid for every target, and the modifiers beside them, from plain data: the same observations and settings give the same
 * plan. Linear in targets and days. Steps and sources: see docs/method.md, "Bids".
 */
export function proposeBids(observations: BidObservations, settings: BidSettings): BidPlan {
  return decideBids(prepareBids(observations), settings);
}

/** The plan at some settings, from what was worked out of the figures before. */
export function decideBids(prepared: PreparedBids, settings: BidSettings): BidPlan {
  const { observations, factors, exposures, priors, worths, kappa } = prepared;
  const plans = campaignPlans(observations, factors, settings);
  const solution = solve(observations, settings, exposures, worths, plans, kappa);
  const parts = { ...prepared, settings, plans, solution };
  return {
    proposals: observations.targets.map((_, target) => proposalOf(target, parts)),
    modifiers: plans.flatMap(({ modifiers }, campaign) =>
      modifiers.flatMap((to, placement) => {
        const from = observations.campaigns[campaign].modifiers[placement];
        return to === from ? [] : [{ campaign, placement, from, to }];
      }),
    ),
    held: plans.map(({ held }) => held),
    dry: plans.map(({ dry }) => dry),
    kappa,
    strength: priors.strength,
  };
}

/** The same observations with another target ACOS for some scopes, nothing read anew. @param targetAcos share, by scope */
export function withTargets(prepared: PreparedBids, targetAcos: (scope: number) => number): PreparedBids {
  const { observations } = prepared;
  const scopes = observations.scopes.map((_, scope) => ({ targetAcos: targetAcos(scope) }));
  return { ...prepared, observations: { ...observations, scopes } };
}

interface Parts extends PreparedBids {
  settings: BidSettings;
  plans: CampaignPlan[];
  solution: Solution;
}

/** What a month comes to at another bid: clicks ~ bid, cost per click ~ bid to the 0.8. @param x bid after / bid now */
export function monthAt(now: Month, x: number): Month {
  return { clicks: now.clicks * x, spend: now.spend * x ** (1 + CPC_ELASTICITY), sales: now.sales * x };
}

function proposalOf(target: number, parts: Parts): BidProposal {
  const { observations, settings, exposures, priors, worths, plans, solution, kappa } = parts;
  const { bid, campaign, scope } = observations.targets[target];
  const { exposure, orders, clicks, flow, cpc } = exposures;
  const prior = { mean: priors.mean[target], strength: priors.strength };
  const { mean, low, high, grade } = estimateConversion(exposure[target], orders[target], prior);
  const { mix, dry } = plans[campaign];
  const acos = observations.scopes[scope].targetAcos;
  const needed = cpc[target] / (acos * worths.value[target] * mix);
  const chance = needed > 0 ? chanceToReach(needed, exposure[target], orders[target], prior) : 1;
  const to = roundedBid(bid, solution.move[target], settings);
  const left = leftAlone(observations.targets[target], to, { settings, grade, dry });
  const now: Month = {
    clicks: flow[target] * DAYS_PER_MONTH,
    spend: flow[target] * cpc[target] * DAYS_PER_MONTH,
    sales: kappa * flow[target] * worths.rpc[target] * mix * DAYS_PER_MONTH,
  };
  const bidAfter = left === null ? to : bid;
  return {
    target,
    step: stepOf(left, bid, to, { clicks: clicks[target], orders: orders[target], chance }),
    left,
    from: bid,
    to: bidAfter,
    wanted: Math.round(solution.wanted[target]),
    rho: solution.rho[target],
    clicks: clicks[target],
    orders: orders[target],
    conversion: { mean, low, high, usual: priors.mean[target], grade },
    exposure: exposure[target],
    rpc: worths.rpc[target] * mix,
    rpcLow: low * worths.value[target] * mix,
    rpcHigh: high * worths.value[target] * mix,
    cpc: cpc[target],
    needed,
    chance,
    now,
    after: monthAt(now, bid > 0 ? bidAfter / bid : 1),
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

/** Share of days without budget left at which dearer clicks would only end the day sooner. */
const OFTEN_DRY = 0.25;

function leftAlone(
  { bid, isRunning, daysSinceChange }: BidObservations['targets'][number],
  to: Micros,
  { settings, grade, dry }: { settings: BidSettings; grade: EvidenceGrade; dry: number | null },
): Left {
  if (!isRunning) return 'not running';
  if (bid <= 0 || Math.abs(to / bid - 1) < settings.leastMove) return 'too small';
  if (daysSinceChange !== null && daysSinceChange < settings.coolDown) return 'cool-down';
  if (EVIDENCE_GRADES.indexOf(grade) < EVIDENCE_GRADES.indexOf(settings.leastEvidence))
    return 'thin evidence';
  return to > bid && dry !== null && dry > OFTEN_DRY ? 'runs dry' : null;
}

function stepOf(
  left: Left,
  from: Micros,
  to: Micros,
  { clicks, orders, chance }: { clicks: number; orders: number; chance: number },
): BidStep {
  if (left !== null || to === from) return 'none';
  if (to > from) return 'grow';
  // What was never clicked on spent nothing: its bid is too high, but it is not dead.
  return clicks > 0 && orders === 0 && chance < DEAD_CHANCE ? 'dead' : 'over';
}
