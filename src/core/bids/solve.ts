import { largest, smallest } from '../order';
import type { Exposures } from './exposures';
import { lastUnder } from './lastUnder';
import type { BidObservations, AimSettings } from './observations';
import { SPEND_POWER, tried } from './responses';
import type { Responses } from './responses';

/** The multipliers that bring every scope onto its target, and the moves they make. */
export interface Solution {
  /** Wanted bid of each target before step limits, micros. */
  wanted: Float64Array;
  /** The same over the bid now, by target; 1 for what does not run. */
  free: Float64Array;
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
const LEAST_PHI = 0.2;
/** However little may be spent, bids go no further down than this share of where they would stand. */
const LEAST_SHARE = 0.05;
/** Bids that stand this near to where their target lets them are not held. */
const HELD = 0.98;

/**
 * One multiplier per scope: bid = rho x phi x RPC x scale, with rho found so (lastUnder) that the whole scope lands on its
 * target: sum flow x cpc x x^1.8 = target x kappa x sum flow x x x RPC x mix, x = effective bid / effective bid now (clicks ~ x,
 * cost per click ~ x^0.8); modifiers move it too. The most sales under one ACOS ceiling need equal marginal ACOS on all targets, and where the price is
 * set by the next bidder that means one rho for all. Scopes with under 300 orders a month are solved together, rho in
 * proportion to their targets.
 */
export function solve(
  observations: BidObservations,
  settings: AimSettings,
  exposures: Exposures,
  responses: Responses,
): Solution {
  const { targets, scopes, campaigns } = observations;
  const [spent, allowed, trial] = [0, 0, 0].map(() => new Float64Array(campaigns.length));
  const size = targets.length;
  const solution = {
    wanted: new Float64Array(size),
    free: new Float64Array(size).fill(1),
    rho: new Float64Array(size),
    held: new Float64Array(campaigns.length).fill(1),
    multiplier: new Float64Array(scopes.length),
    isHeldByMoney: false,
  };
  const { worth, cost, allowance, campaignOf, scopeOf, rhoOf, rhoBounds, moved, spendAt } = responses;
  const [rhoOfScope, powerOfScope] = [new Float64Array(scopes.length), new Float64Array(scopes.length)];
  const budgets = Float64Array.from(campaigns, ({ budget }) => budget ?? Infinity);
  const groups = groupsOf(observations, exposures).map((all) => {
    // What neither spends nor sells moves nothing: most targets of a large account.
    const group = {
      all,
      moving: Int32Array.from(all.filter((at) => cost[at] > 0 || allowance[at] > 0)),
      scopes: [...new Set(all.map((at) => scopeOf[at]))],
    };
    return { ...group, multiplier: landed(group) };
  });
  const share = spendShare();
  solution.isHeldByMoney =
    share < HELD ||
    groups.some(({ scopes: its, multiplier }) =>
      its.some((scope) => (settings.mostMultiplier?.[scope] ?? Infinity) < HELD * multiplier),
    );
  for (const { all, moving, scopes: its, multiplier } of groups) {
    aim(moving, multiplier * share);
    for (const scope of its) solution.multiplier[scope] = multiplier * share;
    for (const at of all) solution.held[campaignOf[at]] = trial[campaignOf[at]];
    for (const at of all) keep(at, multiplier * share);
  }
  return solution;

  /** The share of all multipliers at which what may be spent a day is spent and no more; 1 where that is enough, or not limited. */
  function spendShare(): number {
    const most = settings.mostSpend ?? null;
    if (most === null) return 1;
    const spend = (part: number) =>
      groups.reduce((sum, { moving, multiplier }) => {
        aim(moving, multiplier * part);
        return sum + total(spent);
      }, 0);
    return lastUnder(LEAST_SHARE, 1, (part) => Math.log(spend(part) / most));
  }

  /**
   * What a group spends at a multiplier, and what its targets allow, by campaign. One whose clicks would cost more than its budget bids less
   * by phi, (B / D)^(1/1.8): the same clicks bought cheaper, not fewer clicks.
   */
  function aim(group: Int32Array, multiplier: number): void {
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
    for (let campaign = 0; campaign < campaigns.length; campaign += 1) {
      const phi = withinBudget(budgets[campaign], spent[campaign]);
      trial[campaign] = phi;
      spent[campaign] = Math.min(budgets[campaign], spent[campaign]);
      allowed[campaign] *= phi;
    }
  }

  /** The largest multiplier (of the scope's target) at which a group does not spend more than its targets allow. */
  function landed({ moving, scopes: its }: { moving: Int32Array; scopes: number[] }): number {
    const targetsOf = its.map((scope) => scopes[scope].targetAcos);
    return lastUnder(rhoBounds[0] / largest(targetsOf), rhoBounds[1] / smallest(targetsOf), (multiplier) => {
      aim(moving, multiplier);
      const [spends, may] = [total(spent), total(allowed)];
      return spends <= 0 ? -Infinity : Math.log(spends / may);
    });
  }

  function keep(at: number, multiplier: number): void {
    if (worth[at] === 0) return;
    const phi = solution.held[campaignOf[at]];
    const free = moved(at, rhoOf(scopeOf[at], multiplier));
    // What a budget is kept with is counted from the bids that were tried, which go no further than so.
    const x = phi < 1 ? phi * tried(free) : free;
    solution.rho[at] = x / worth[at];
    solution.wanted[at] = x * targets[at].bid;
    solution.free[at] = x;
  }
}

const total = (list: Float64Array) => list.reduce((sum, one) => sum + one, 0);

/** How far the bids of a campaign go down so that its clicks cost its budget and no more. */
const withinBudget = (budget: number, demand: number) =>
  demand <= budget ? 1 : Math.max(LEAST_PHI, (budget / demand) ** (1 / SPEND_POWER));

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
