import { capTests } from './testing';
import { unsettledDays } from './hold';
import { campaignPlans } from './modifiers';
import { HISTORY_DAYS } from './observations';
import type { BidObservations, BidSettings } from './observations';
import { largest } from '../order';
import { prepareBids } from './prepareBids';
import type { PreparedBids } from './prepareBids';
import type { BidProposal } from './proposal';
import { proposeTarget } from './proposeTarget';
import { shareFreed } from './freed';
import { solveRanges } from './solveRanges';
import type { Micros } from '../units';

/** A round of bids and modifiers, solved together. */
export interface BidPlan {
  proposals: BidProposal[];
  /** Modifiers that change, by campaign and placement, as shares. */
  modifiers: { campaign: number; placement: number; from: number; to: number }[];
  /** How far each campaign's bids are held so that its clicks cost its budget and no more; 1: not at all. */
  held: number[];
  /** Share of the last week's days on which each campaign spent its budget; null without a daily one. */
  dry: (number | null)[];
  /** What the estimates were off by lately; 1: right. */
  kappa: number;
  /** How far the own bid sets what a click costs (0: the next bidder does), and the targets that tell of it. */
  price: { gamma: number; targets: number };
  /** Whether it is the money, and not the target, that bids go no higher for. */
  isHeldByMoney: boolean;
  /** Weight of the prior, in orders. */
  strength: number;
  /** Days back to the first one with figures, 150 at most. */
  days: number;
  /** What tests may cost more a month in all, and what those of the last 30 days took of it, micros. */
  testing: { cap: Micros; used: Micros };
}

/**
 * A bid for every target, and the modifiers beside them, from plain data: the same observations and settings give the same
 * plan. Linear in targets and days. Steps and sources: see docs/method.md, "Bids".
 */
export function proposeBids(observations: BidObservations, settings: BidSettings): BidPlan {
  return decideBids(prepareBids(observations), settings);
}

/** The plan at some settings, from what was worked out of the figures before. */
export function decideBids(prepared: PreparedBids, settings: BidSettings): BidPlan {
  const { observations, factors, exposures, priors, worths, kappa, price } = prepared;
  const plans = campaignPlans(observations, factors, settings);
  const solution = solveRanges(observations, settings, exposures, worths, plans, kappa, price);
  const parts = { ...prepared, settings, plans, solution, unsettled: unsettledDays(observations) };
  const proposals = observations.targets.map((_, target) => proposeTarget(target, parts));
  shareFreed(prepared, proposals);
  const testing = {
    cap: settings.testing.cap ?? usualCap(proposals, settings.testing.share),
    used: observations.testsUsed,
  };
  capTests(proposals, testing.cap - testing.used, settings.testing.within);
  return {
    proposals,
    modifiers: plans.flatMap(({ modifiers }, campaign) =>
      modifiers.flatMap((to, placement) => {
        const from = observations.campaigns[campaign].modifiers[placement];
        return to === from ? [] : [{ campaign, placement, from, to }];
      }),
    ),
    held: Array.from(solution.held),
    dry: plans.map(({ dry }) => dry),
    kappa,
    isHeldByMoney: solution.isHeldByMoney,
    price: { gamma: price.gamma, targets: price.targets },
    strength: priors.strength,
    days: Math.max(0, Math.min(HISTORY_DAYS, largest(observations.days.age) + 1)),
    testing,
  };
}

/** The usual share of what all targets spend in a month. */
const usualCap = (proposals: BidProposal[], share: number) =>
  Math.round(share * proposals.reduce((sum, { now }) => sum + now.spend, 0));

/** The same observations with another target ACOS for some scopes, nothing read anew. @param targetAcos share, by scope; null: its own */
export function withTargets(
  prepared: PreparedBids,
  targetAcos: (scope: number) => number | null,
): PreparedBids {
  const { observations } = prepared;
  const scopes = observations.scopes.map((own, scope) => {
    const tried = targetAcos(scope);
    return tried === null ? own : { targetAcos: tried };
  });
  return { ...prepared, observations: { ...observations, scopes } };
}
