import { calibrate } from './calibrate';
import { exposuresOf, paidShares } from './exposures';
import type { Exposures } from './exposures';
import type { BidObservations } from './observations';
import { placementFactors } from './placementFactors';
import type { PlacementFactors } from './placementFactors';
import { priceRule } from './priceRule';
import type { PriceRule } from './priceRule';
import { priorsOf } from './priors';
import type { Priors } from './priors';
import { winCurves } from './winCurves';
import { worthsOf } from './worths';
import type { Worths } from './worths';

/** Everything that an account's figures tell, whatever target or pace is chosen: worked out once, decided on many times. */
export interface PreparedBids {
  observations: BidObservations;
  factors: PlacementFactors;
  exposures: Exposures;
  priors: Priors;
  worths: Worths;
  /** What the estimates were off by lately; 1: right. */
  kappa: number;
  /** What clicks cost, as far as the figures tell. */
  price: PriceRule;
  /** Share of its clicks that each campaign's budget pays for now. */
  paid: Float64Array;
}

/** Reads the days: what a click of each target brings and costs. Linear in targets and days. */
export function prepareBids(observations: BidObservations): PreparedBids {
  const factors = placementFactors(observations);
  const exposures = exposuresOf(observations, factors);
  const priors = priorsOf(observations, exposures);
  broughtAlong(observations, exposures);
  const worths = worthsOf(observations, exposures, priors);
  const kappa = calibrate(observations, factors, exposures, priors);
  const price = priceRule(observations, exposures, winCurves(observations, factors, exposures));
  return {
    observations,
    factors,
    exposures,
    priors,
    worths,
    kappa,
    price,
    paid: paidShares(observations, exposures),
  };
}

/**
 * What targets bring along counts for their own estimates from the first day. (Not for what is usual: there it counts where it was
 * earned.) The value of its placements is not known; a click counts as one.
 */
function broughtAlong({ targets }: BidObservations, { exposure, clicks, orders, sales }: Exposures): void {
  targets.forEach(({ before }, at) => {
    if (!before) return;
    exposure[at] += before.clicks;
    clicks[at] += before.clicks;
    orders[at] += before.orders;
    sales[at] += before.sales;
  });
}
