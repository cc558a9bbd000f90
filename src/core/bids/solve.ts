import { CPC_ELASTICITY } from './exposures';
import type { Exposures } from './exposures';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, BidSettings, StepLimits } from './observations';
import type { Worths } from './worths';

/** The multipliers that bring every scope onto its target, and the moves they make. */
export interface Solution {
  /** Wanted bid of each target before step limits, micros. */
  wanted: Float64Array;
  /** Bid after / bid now within the step limits, by target. */
  move: Float64Array;
  /** rho of each target: effective bid / revenue per click. */
  rho: Float64Array;
}

/** Scopes with fewer orders in 30 days are solved together. */
const OWN_ORDERS = 300;
const [LEAST_RHO, MOST_RHO] = [0.02, 1.2];
const STEPS = 40;
const STRICT = 0.97;
/**
 * How far bids may move while the multiplier is looked for: it says where a scope is to go, the step limits only how far of the
 * way a round goes. (Within the limits a scope that cannot land in one round would get a multiplier without measure.)
 */
const FREE = { down: 0.8, up: 3 };

/**
 * One multiplier per scope: bid = rho x held x RPC x scale, with rho solved by bisection so that the whole scope lands on its
 * target: sum flow x cpc x x^1.8 = target x kappa x sum flow x x x RPC x mix, x = bid / bid now (clicks ~ x,
 * cost per click ~ x^0.8). The most sales under one ACOS ceiling need equal marginal ACOS on all targets, and where the price is
 * set by the next bidder that means one rho for all. Scopes with under 300 orders a month are solved together, rho in
 * proportion to their targets.
 */
export function solve(
  observations: BidObservations,
  settings: BidSettings,
  exposures: Exposures,
  worths: Worths,
  plans: CampaignPlan[],
  kappa: number,
): Solution {
  const { targets, scopes, campaigns } = observations;
  const [spent, allowed] = [new Float64Array(campaigns.length), new Float64Array(campaigns.length)];
  const size = targets.length;
  const solution = {
    wanted: new Float64Array(size),
    move: new Float64Array(size).fill(1),
    rho: new Float64Array(size),
  };
  for (const group of groupsOf(observations, exposures)) {
    const multiplier = bisect(group);
    for (const at of group) moveAt(at, multiplier, true, settings.step);
  }
  return solution;

  /**
   * Net of a group at a multiplier: what it spends less what its targets allow. A campaign spends no more than its budget:
   * beyond it dearer clicks only become fewer.
   */
  function net(group: number[], multiplier: number): number {
    spent.fill(0);
    allowed.fill(0);
    for (const at of group) {
      const x = moveAt(at, multiplier, false, FREE);
      const { campaign, scope } = targets[at];
      const target = scopes[scope].targetAcos * (settings.aim === 'strict' ? STRICT : 1);
      const flow = exposures.flow[at];
      spent[campaign] += flow * exposures.cpc[at] * x ** (1 + CPC_ELASTICITY);
      allowed[campaign] += target * kappa * flow * x * worths.rpc[at] * plans[campaign].mix;
    }
    let sum = 0;
    campaigns.forEach(({ budget }, campaign) => {
      const share = budget === null || spent[campaign] <= budget ? 1 : budget / spent[campaign];
      sum += share * (spent[campaign] - allowed[campaign]);
    });
    return sum;
  }

  /** The largest multiplier (of the scope's target) at which a group does not spend more than its targets allow. */
  function bisect(group: number[]): number {
    const targetsOf = group.map((at) => scopes[targets[at].scope].targetAcos);
    let low = LEAST_RHO / Math.max(...targetsOf);
    let high = MOST_RHO / Math.min(...targetsOf);
    for (let step = 0; step < STEPS; step += 1) {
      const middle = Math.sqrt(low * high);
      if (net(group, middle) > 0) high = middle;
      else low = middle;
    }
    return low;
  }

  function moveAt(at: number, multiplier: number, isKept: boolean, step: StepLimits): number {
    const { campaign, scope, product, bid, isRunning } = targets[at];
    if (!isRunning || bid <= 0) return 1;
    const margin = observations.products[product]?.margin ?? null;
    let rho = Math.min(MOST_RHO, Math.max(LEAST_RHO, multiplier * scopes[scope].targetAcos));
    // Never buy a click above what it earns.
    if (settings.aim === 'keep profit' && margin !== null) rho = Math.min(rho, Math.max(LEAST_RHO, margin));
    const { held, scale } = plans[campaign];
    const wanted = rho * held * worths.rpc[at] * scale;
    const x = Math.min(1 + step.up, Math.max(1 - step.down, wanted / bid));
    if (isKept) {
      solution.wanted[at] = wanted;
      solution.move[at] = x;
      solution.rho[at] = rho;
    }
    return x;
  }
}

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
