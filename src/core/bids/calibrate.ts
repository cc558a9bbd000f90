import { shareAt } from './observations';
import type { BidObservations } from './observations';
import type { PlacementFactors } from './placementFactors';
import type { Worths } from './worths';

const CALIBRATION_DAYS = 42;
const WEIGHT_ORDERS = 40;

/**
 * How far the estimates were off lately: kappa = (sales + 40 V) / (sum clicks x c(age) x F x RPC + 40 V) over 42 days. 1: right.
 * @param accountValue V, micros
 */
export function calibrate(
  { days, targets, completion }: BidObservations,
  factors: PlacementFactors,
  { rpc }: Worths,
  accountValue: number,
): number {
  let [sales, predicted] = [0, 0];
  for (let row = 0; row < days.age.length; row += 1) {
    const age = days.age[row];
    if (age >= CALIBRATION_DAYS) continue;
    const at = days.target[row];
    sales += days.sales[row];
    predicted +=
      days.clicks[row] * shareAt(completion, age) * factors.onDay(targets[at].campaign, age) * rpc[at];
  }
  const base = WEIGHT_ORDERS * accountValue;
  return base === 0 ? 1 : (sales + base) / (predicted + base);
}
