import { largest, smallest } from '../order';
import { CPC_ELASTICITY } from './exposures';
import type { Exposures } from './exposures';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, BidSettings, StepLimits } from './observations';
import { shadeOf } from './priceRule';
import type { PriceRule } from './priceRule';
import type { Worths } from './worths';

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
}

/** Scopes with fewer orders in 30 days are solved together. */
const OWN_ORDERS = 300;
const [LEAST_RHO, MOST_RHO] = [0.02, 1.2];
/** Where the own bid sets the price, bids stand below a click's worth by themselves. */
const MOST_RHO_SHADED = 2;
/** Halvings: they bring the multiplier within a millionth. */
const STEPS = 24;
const STRICT = 0.97;
const LEAST_PHI = 0.2;
/** Spend ~ bid to this power: clicks ~ bid, cost per click ~ bid to the 0.8. */
const SPEND_POWER = 1 + CPC_ELASTICITY;
/**
 * How far bids may move while the multiplier is looked for: it says where a scope is to go, the step limits only how far of the
 * way a round goes. (Within the limits a scope that cannot land in one round would get a multiplier without measure.)
 */
const FREE = { down: 0.8, up: 3 };

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
  worths: Worths,
  plans: CampaignPlan[],
  kappa: number,
  price: PriceRule,
): Solution {
  const { targets, scopes, campaigns } = observations;
  const [spent, allowed, trial] = [0, 0, 0].map(() => new Float64Array(campaigns.length));
  const size = targets.length;
  const solution = {
    wanted: new Float64Array(size),
    move: new Float64Array(size).fill(1),
    rho: new Float64Array(size),
    held: new Float64Array(campaigns.length).fill(1),
  };
  const strict = settings.aim === 'strict' ? STRICT : 1;
  // Modifiers move effective bids beside the bids: what they move counts from the start.
  const gain = Float64Array.from(targets, ({ campaign }) => plans[campaign].gain);
  const worth = worthPerShare();
  const shaded = shadedBids();
  const mostShare = price.gamma > 0 ? MOST_RHO_SHADED : MOST_RHO;
  const worthPower = worth.map((one) => one ** SPEND_POWER);
  const cost = exposures.flow.map((flow, at) => flow * exposures.cpc[at] * gain[at] ** SPEND_POWER);
  const allowance = exposures.flow.map((flow, at) => {
    const { scope, campaign } = targets[at];
    return scopes[scope].targetAcos * strict * kappa * flow * gain[at] * worths.rpc[at] * plans[campaign].mix;
  });
  const mostRho = rhoCaps();
  const [campaignOf, scopeOf] = [new Int32Array(size), new Int32Array(size)];
  targets.forEach(({ campaign, scope }, at) => {
    campaignOf[at] = campaign;
    scopeOf[at] = scope;
  });
  const [rhoOfScope, powerOfScope] = [new Float64Array(scopes.length), new Float64Array(scopes.length)];
  for (const group of groupsOf(observations, exposures)) {
    const multiplier = bisect(group);
    net(group, multiplier);
    for (const at of group) solution.held[campaignOf[at]] = trial[campaignOf[at]];
    for (const at of group) keep(at, multiplier);
  }
  return solution;

  /** Bid of each target for each unit of rho, over its bid now; 0 for what does not run. */
  function worthPerShare(): Float64Array {
    return worths.rpc.map((rpc, at) => {
      const { campaign, bid, isRunning } = targets[at];
      return isRunning && bid > 0 ? (rpc * plans[campaign].scale) / bid : 0;
    });
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
      const rho = Math.min(rhoOfScope[scopeOf[at]], mostRho[at]);
      const free = worth[at] === 0 ? 1 : shaded(at, rho * worth[at]);
      const x = tried(free);
      // Nearly all targets share one rho and stand within the limits: their power is a product.
      const isPlain = price.gamma === 0 && x === free && worth[at] !== 0 && rho < mostRho[at];
      const power = isPlain ? powerOfScope[scopeOf[at]] * worthPower[at] : x ** SPEND_POWER;
      spent[campaignOf[at]] += cost[at] * power;
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
    let low = LEAST_RHO / largest(targetsOf);
    let high = mostShare / smallest(targetsOf);
    for (let step = 0; step < STEPS; step += 1) {
      const middle = Math.sqrt(low * high);
      if (net(group, middle) > 0) high = middle;
      else low = middle;
    }
    return low;
  }

  function rhoOf(scope: number, multiplier: number): number {
    return Math.min(mostShare, Math.max(LEAST_RHO, multiplier * scopes[scope].targetAcos));
  }

  /** Bid after / bid now, less what is saved by bidding below a click's worth where the own bid sets its price. */
  function shadedBids(): (at: number, x: number) => number {
    if (price.gamma === 0) return (_, x) => x;
    const shade = shadeOf(price);
    const ratio = Float64Array.from(targets, ({ bid, campaign }, at) =>
      price.curves.level[at] > 0 ? (bid * exposures.raises[campaign] * gain[at]) / price.curves.level[at] : 1,
    );
    return (at, x) => x * shade(x * ratio[at]);
  }

  /** Under "keep profit" no click is bought above what it earns. */
  function rhoCaps(): Float64Array {
    const caps = new Float64Array(size).fill(Infinity);
    if (settings.aim !== 'keep profit') return caps;
    return caps.map((none, at) => {
      const margin = observations.products[targets[at].product]?.margin ?? null;
      return margin === null ? none : Math.max(LEAST_RHO, margin);
    });
  }

  function keep(at: number, multiplier: number): void {
    if (worth[at] === 0) return;
    const phi = solution.held[campaignOf[at]];
    const free = shaded(at, Math.min(rhoOf(scopeOf[at], multiplier), mostRho[at]) * worth[at]);
    // What a budget is kept with is counted from the bids that were tried, which go no further than so.
    const x = phi < 1 ? phi * tried(free) : free;
    solution.rho[at] = x / worth[at];
    solution.wanted[at] = x * targets[at].bid;
    solution.move[at] = within(x, settings.step);
  }
}

/** Bid after / bid now as far as it is tried. */
const tried = (x: number) => Math.min(1 + FREE.up, Math.max(1 - FREE.down, x));

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
