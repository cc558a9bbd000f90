import { largest, smallest } from '../order';
import type { Exposures } from './exposures';
import type { BidObservations, BidSettings, StepLimits } from './observations';
import { SPEND_POWER, tried } from './responses';
import type { Responses } from './responses';

/** The multipliers that bring every scope onto its target, and the moves they make. */
export interface Solution {
  /** Wanted bid of each target before step limits, micros. */
  wanted: Float64Array;
  /** Bid after / bid now within the step limits, by target. */
  move: Float64Array;
  /** rho of each target: effective bid / revenue per click, what its campaign is held by counted in. */
  rho: Float64Array;
  /** phi of each campaign: how far its bids are held so that its clicks cost its budget; 1: not at all. */
  held: Float64Array;
  /** By scope, what its target ACOS is multiplied by: rho. */
  multiplier: Float64Array;
  /** Whether it is the money, and not the target, that bids go no higher for. */
  isHeldByMoney: boolean;
}

/** Scopes with fewer orders in 30 days are solved together. */
const OWN_ORDERS = 300;
/** Halvings: they bring the multiplier within a millionth. */
const STEPS = 24;
const LEAST_PHI = 0.2;
/** However little may be spent, bids go no further down than this share of where they would stand. */
const LEAST_SHARE = 0.05;
/** Bids that stand this near to where their target lets them are not held. */
const HELD = 0.98;

/**
 * One multiplier per scope: bid = rho x phi x RPC x scale, with rho solved by bisection so that the whole scope lands on its
 * target: sum flow x cpc x x^1.8 = target x kappa x sum flow x x x RPC x mix, x = effective bid / effective bid now (clicks ~ x,
 * cost per click ~ x^0.8); modifiers move it too. The most sales under one ACOS ceiling need equal marginal ACOS on all targets, and where the price is
 * set by the next bidder that means one rho for all. Scopes with under 300 orders a month are solved together, rho in
 * proportion to their targets.
 */
export function solve(
  observations: BidObservations,
  settings: BidSettings,
  exposures: Exposures,
  responses: Responses,
): Solution {
  const { targets, scopes, campaigns } = observations;
  const [spent, allowed, trial] = [0, 0, 0].map(() => new Float64Array(campaigns.length));
  const size = targets.length;
  const solution = {
    wanted: new Float64Array(size),
    move: new Float64Array(size).fill(1),
    rho: new Float64Array(size),
    held: new Float64Array(campaigns.length).fill(1),
    multiplier: new Float64Array(scopes.length),
    isHeldByMoney: false,
  };
  const { worth, cost, allowance, campaignOf, scopeOf, rhoOf, rhoBounds, moved, spendAt } = responses;
  const [rhoOfScope, powerOfScope] = [new Float64Array(scopes.length), new Float64Array(scopes.length)];
  const groups = groupsOf(observations, exposures).map((group) => ({ group, multiplier: bisect(group) }));
  const share = spendShare();
  solution.isHeldByMoney =
    share < HELD ||
    groups.some(({ group, multiplier }) =>
      group.some((at) => (settings.mostMultiplier?.[scopeOf[at]] ?? Infinity) < HELD * multiplier),
    );
  for (const { group, multiplier } of groups) {
    net(group, multiplier * share);
    for (const at of group) {
      solution.held[campaignOf[at]] = trial[campaignOf[at]];
      solution.multiplier[scopeOf[at]] = multiplier * share;
    }
    for (const at of group) keep(at, multiplier * share);
  }
  return solution;

  /** The share of all multipliers at which what may be spent a day is spent and no more; 1 where that is enough, or not limited. */
  function spendShare(): number {
    const most = settings.mostSpend ?? null;
    if (most === null) return 1;
    const spend = (part: number) =>
      groups.reduce((sum, { group, multiplier }) => {
        net(group, multiplier * part);
        return (
          sum + campaigns.reduce((all, { budget }, at) => all + Math.min(budget ?? Infinity, spent[at]), 0)
        );
      }, 0);
    if (spend(1) <= most) return 1;
    let [low, high] = [LEAST_SHARE, 1];
    for (let step = 0; step < STEPS; step += 1) {
      const middle = Math.sqrt(low * high);
      if (spend(middle) > most) high = middle;
      else low = middle;
    }
    return low;
  }

  /**
   * Net of a group at a multiplier: what it spends less what its targets allow. A campaign whose clicks would cost more than its budget
   * bids less by phi, (B / D)^(1/1.8): the same clicks bought cheaper, not fewer clicks.
   */
  function net(group: number[], multiplier: number): number {
    spent.fill(0);
    allowed.fill(0);
    for (let scope = 0; scope < scopes.length; scope += 1) {
      rhoOfScope[scope] = rhoOf(scope, multiplier);
      powerOfScope[scope] = rhoOfScope[scope] ** SPEND_POWER;
    }
    for (let place = 0; place < group.length; place += 1) {
      const at = group[place];
      const scope = scopeOf[at];
      const x = tried(moved(at, rhoOfScope[scope]));
      spent[campaignOf[at]] += cost[at] * spendAt(at, x, rhoOfScope[scope], powerOfScope[scope]);
      allowed[campaignOf[at]] += allowance[at] * x;
    }
    let sum = 0;
    campaigns.forEach(({ budget }, campaign) => {
      const phi = budget === null ? 1 : withinBudget(budget, spent[campaign]);
      trial[campaign] = phi;
      sum += Math.min(budget ?? Infinity, spent[campaign]) - allowed[campaign] * phi;
    });
    return sum;
  }

  /** The largest multiplier (of the scope's target) at which a group does not spend more than its targets allow. */
  function bisect(group: number[]): number {
    const targetsOf = group.map((at) => scopes[targets[at].scope].targetAcos);
    let low = rhoBounds[0] / largest(targetsOf);
    let high = rhoBounds[1] / smallest(targetsOf);
    for (let step = 0; step < STEPS; step += 1) {
      const middle = Math.sqrt(low * high);
      if (net(group, middle) > 0) high = middle;
      else low = middle;
    }
    return low;
  }

  function keep(at: number, multiplier: number): void {
    if (worth[at] === 0) return;
    const phi = solution.held[campaignOf[at]];
    const free = moved(at, rhoOf(scopeOf[at], multiplier));
    // What a budget is kept with is counted from the bids that were tried, which go no further than so.
    const x = phi < 1 ? phi * tried(free) : free;
    solution.rho[at] = x / worth[at];
    solution.wanted[at] = x * targets[at].bid;
    solution.move[at] = within(x, settings.step);
  }
}

/** How far the bids of a campaign go down so that its clicks cost its budget and no more. */
const withinBudget = (budget: number, demand: number) =>
  demand <= budget ? 1 : Math.max(LEAST_PHI, (budget / demand) ** (1 / SPEND_POWER));

const within = (x: number, { down, up }: StepLimits) => Math.min(1 + up, Math.max(1 - down, x));

/** Targets that are solved together: those of a scope with enough orders, and all others at once. */
function groupsOf({ targets, scopes }: BidObservations, { flow, exposure, orders }: Exposures): number[][] {
  const byScope: number[][] = scopes.map(() => []);
  const monthly = new Float64Array(scopes.length);
  targets.forEach(({ scope }, at) => {
    byScope[scope].push(at);
    if (exposure[at] > 0) monthly[scope] += (orders[at] / exposure[at]) * flow[at] * 30;
  });
  const own = byScope.filter((_, scope) => monthly[scope] >= OWN_ORDERS);
  const rest = byScope.filter((_, scope) => monthly[scope] < OWN_ORDERS).flat();
  return [...own, rest].filter((group) => group.length > 0);
}
