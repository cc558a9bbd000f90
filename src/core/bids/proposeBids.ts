import { aimBids } from './aimBids';
import type { AimedBids } from './aimBids';
import { capTests } from './testing';
import { HISTORY_DAYS } from './observations';
import type { BidObservations, BidSettings } from './observations';
import { largest } from '../order';
import { prepareBids } from './prepareBids';
import type { PreparedBids } from './prepareBids';
import type { BidProposal } from './proposal';
import { emptyStepped, proposalAt } from './proposalColumns';
import type { ProposalColumns } from './proposalColumns';
import { stepTarget } from './stepTarget';
import { shareFreed } from './freed';
import type { Micros } from '../units';

/** A round of bids and modifiers, solved together. */
export interface BidPlan {
  columns: ProposalColumns;
  /** An object for each proposal: for a few. */
  readonly proposals: BidProposal[];
  /** Modifiers that change, by campaign and placement, as shares. */
  modifiers: { campaign: number; placement: number; from: number; to: number }[];
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
export const decideBids = (prepared: PreparedBids, settings: BidSettings): BidPlan =>
  stepBids(aimBids(prepared, settings), settings);

/** A round's step toward where all targets are to go: the same aims stepped toward at another pace share all that no pace changes. */
export function stepBids(aimed: AimedBids, settings: BidSettings): BidPlan {
  const { prepared, plans, solution } = aimed;
  const { observations, kappa, price, priors } = prepared;
  const size = observations.targets.length;
  const columns: ProposalColumns = { ...aimed.columns, ...emptyStepped(size) };
  for (let target = 0; target < size; target += 1) stepTarget(target, aimed, settings, columns);
  shareFreed(prepared, columns);
  const testing = {
    cap: settings.testing.cap ?? usualCap(columns, settings.testing.share),
    used: observations.testsUsed,
  };
  capTests(columns, testing.cap - testing.used, settings.testing.within);
  return {
    columns,
    get proposals() {
      return observations.targets.map((_, target) => proposalAt(columns, target));
    },
    modifiers: plans.flatMap(({ modifiers }, campaign) =>
      modifiers.flatMap((to, placement) => {
        const from = observations.campaigns[campaign].modifiers[placement];
        return to === from ? [] : [{ campaign, placement, from, to }];
      }),
    ),
    kappa,
    isHeldByMoney: solution.isHeldByMoney,
    price: { gamma: price.gamma, targets: price.targets },
    strength: priors.strength,
    days: Math.max(0, Math.min(HISTORY_DAYS, largest(observations.days.age) + 1)),
    testing,
  };
}

/** The usual share of what all targets spend in a month. */
const usualCap = ({ nowSpend }: ProposalColumns, share: number) =>
  Math.round(share * nowSpend.reduce((sum, spend) => sum + spend, 0));

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
