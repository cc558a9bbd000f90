import { RECENT_DAYS } from './exposures';
import type { Exposures } from './exposures';
import { shareAt } from './observations';
import type { BidObservations } from './observations';
import type { PlacementFactors } from './placementFactors';
import type { Priors } from './priors';
import { worthsOf } from './worths';

const WEIGHT_ORDERS = 40;

/**
 * How far estimates were off lately, out of sample: what the days older than 28 tell of each target is held against the 28 days since,
 * kappa = (sales + 40 V) / (sum clicks x c(age) x F x RPC + 40 V). 1: right. Held against the days that they were made from, estimates are
 * always nearly right.
 */
export function calibrate(
  observations: BidObservations,
  factors: PlacementFactors,
  exposures: Exposures,
  priors: Priors,
): number {
  const { days, targets, completion } = observations;
  const { rpc } = worthsOf(observations, exposures.older, priors);
  let [sales, predicted] = [0, 0];
  for (let row = 0; row < days.age.length; row += 1) {
    const age = days.age[row];
    if (age >= RECENT_DAYS) continue;
    const at = days.target[row];
    sales += days.sales[row];
    predicted +=
      days.clicks[row] * shareAt(completion, age) * factors.onDay(targets[at].campaign, age) * rpc[at];
  }
  const base = WEIGHT_ORDERS * priors.accountValue;
  return base === 0 ? 1 : (sales + base) / (predicted + base);
}
