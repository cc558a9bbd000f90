import type { Exposures } from './exposures';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, BidScope, AimSettings } from './observations';
import type { PriceRule } from './priceRule';
import { responsesOf } from './responses';
import { solve } from './solve';
import type { Solution } from './solve';
import type { Worths } from './worths';

/** The moves of all targets, and what each was aimed at. */
export interface AimedSolution extends Solution {
  /** Target ACOS that each target is aimed at: its own, or the nearer edge of its range. */
  acos: Float64Array;
  /** 1: it stands inside its range, and nothing is to be done. */
  isInRange: Uint8Array;
}

/**
 * Solves for values and for ranges. A range is solved for at both edges: a bid between the two bids that those ask for is inside, and done;
 * one outside aims at the nearer edge.
 */
export function solveRanges(
  observations: BidObservations,
  settings: AimSettings,
  exposures: Exposures,
  worths: Worths,
  plans: CampaignPlan[],
  kappa: number,
  price: PriceRule,
): AimedSolution {
  const { targets, scopes } = observations;
  const at = (acosOf: (scope: BidScope) => number) => {
    const aimed = { ...observations, scopes: scopes.map((scope) => ({ targetAcos: acosOf(scope) })) };
    return solve(
      aimed,
      settings,
      exposures,
      responsesOf(aimed, settings, exposures, worths, plans, kappa, price),
    );
  };
  const acos = Float64Array.from(targets, ({ scope }) => scopes[scope].targetAcos);
  const isInRange = new Uint8Array(targets.length);
  const solution = { ...at(({ targetAcos }) => targetAcos), acos, isInRange };
  if (scopes.every(({ range }) => range === undefined)) return solution;
  const low = at(({ targetAcos, range }) => range?.low ?? targetAcos);
  const high = at(({ targetAcos, range }) => range?.high ?? targetAcos);
  targets.forEach(({ scope, bid }, target) => {
    const { range } = scopes[scope];
    if (!range) return;
    const isBelow = bid < low.wanted[target];
    const edge = isBelow ? low : high;
    acos[target] = isBelow ? range.low : range.high;
    if (!isBelow && bid <= high.wanted[target]) isInRange[target] = 1;
    for (const key of ['wanted', 'free', 'rho'] as const) solution[key][target] = edge[key][target];
    if (isInRange[target]) solution.free[target] = 1;
  });
  return solution;
}
