import { largest } from '../order';
import type { Exposures } from './exposures';
import { raisesByAge } from './exposures';
import { HISTORY_DAYS } from './observations';
import type { BidObservations } from './observations';
import type { PlacementFactors } from './placementFactors';

/** Where each target's bid stands among its rivals': F(b) = 1 / (1 + (L / b)^a) is the share of auctions that an effective bid b wins. */
export interface WinCurves {
  /** L of each target: the effective bid that wins half, micros; 0 where no bid is known. */
  level: Float64Array;
  /** How steep the curves are, common to the account. */
  steepness: number;
}

const STEEPNESSES = [1.2, 1.5, 1.9, 2.4, 3, 4];
const USUAL_STEEPNESS = 2.4;
const MOST_FOR_STEEPNESS = 4000;
/** L is looked for around the mean bid: on so many points, so far to either side (of the logarithm), with this spread beforehand. */
const POINTS = 17;
const REACH = 1.6;
const SPREAD = 0.7;

/** Days on which a target's effective bid was the same. */
interface Epoch {
  lnBid: number;
  /** Logarithm of clicks a day, and how much it counts. */
  y: number;
  weight: number;
}

/**
 * Win curves by epochs of constant effective bid: y = ln((clicks + .5) / days) with the weight 1 / (1 / (clicks + .5) + .02 + .1 / days) is
 * a level of its own + ln F(b). A target whose bid never moved tells nothing: half is taken to be won at its bid.
 */
export function winCurves(
  observations: BidObservations,
  factors: PlacementFactors,
  { raises }: Pick<Exposures, 'raises'>,
): WinCurves {
  const { targets } = observations;
  const level = Float64Array.from(targets, ({ bid, campaign }) => bid * raises[campaign]);
  const moved = epochsOf(observations, factors, raises);
  let [steepness, most] = [USUAL_STEEPNESS, -Infinity];
  // The steepness is common to all: some thousands tell it as well as all do.
  const every = Math.ceil(moved.size / MOST_FOR_STEEPNESS);
  const some = [...moved.values()].filter((_, at) => at % every === 0);
  for (const a of STEEPNESSES) {
    let sum = -0.5 * (Math.log(a / USUAL_STEEPNESS) / 0.5) ** 2;
    for (const epochs of some) sum += fitLevel(epochs, a).likelihood;
    if (sum > most) [steepness, most] = [a, sum];
  }
  for (const [at, epochs] of moved) level[at] = Math.exp(fitLevel(epochs, steepness).lnLevel);
  return { level, steepness };
}

/** The mean of ln L under its likelihood, and how likely the epochs are on the whole. */
function fitLevel(epochs: Epoch[], a: number): { lnLevel: number; likelihood: number } {
  const all = epochs.reduce((sum, { weight }) => sum + weight, 0);
  const middle = epochs.reduce((sum, { lnBid, weight }) => sum + weight * lnBid, 0) / all;
  let [total, weighted, highest] = [0, 0, -Infinity];
  const logs: number[] = [];
  for (let point = 0; point < POINTS; point += 1) {
    const off = -REACH + (2 * REACH * point) / (POINTS - 1);
    const residuals = epochs.map(({ lnBid, y }) => y + Math.log1p(Math.exp(a * (middle + off - lnBid))));
    const own = epochs.reduce((sum, { weight }, at) => sum + weight * residuals[at], 0) / all;
    const error = epochs.reduce((sum, { weight }, at) => sum + weight * (residuals[at] - own) ** 2, 0);
    logs.push(-0.5 * error - 0.5 * (off / SPREAD) ** 2);
    highest = Math.max(highest, logs[point]);
  }
  logs.forEach((log, point) => {
    const share = Math.exp(log - highest);
    total += share;
    weighted += share * (middle - REACH + (2 * REACH * point) / (POINTS - 1));
  });
  return { lnLevel: weighted / total, likelihood: highest + Math.log(total / POINTS) };
}

/** Epochs of the targets whose effective bid moved at least once. */
function epochsOf(
  observations: BidObservations,
  factors: PlacementFactors,
  raises: Float64Array,
): Map<number, Epoch[]> {
  const { targets, days } = observations;
  const byAge = raisesByAge(observations, factors, raises);
  const hasMoved = new Uint8Array(targets.length);
  for (let row = 0; row < days.age.length; row += 1) {
    const at = days.target[row];
    if (days.bid[row] > 0 && days.bid[row] !== targets[at].bid) hasMoved[at] = 1;
    if (byAge[targets[at].campaign] !== undefined) hasMoved[at] = 1;
  }
  const raw = new Map<number, Map<number, { clicks: number; youngest: number }>>();
  for (let row = 0; row < days.age.length; row += 1) {
    const [at, age] = [days.target[row], days.age[row]];
    const { campaign, bid } = targets[at];
    if (hasMoved[at] === 0 || bid <= 0 || age >= HISTORY_DAYS) continue;
    const effective =
      (days.bid[row] > 0 ? days.bid[row] : bid) * (byAge[campaign]?.[age] ?? raises[campaign]);
    const key = Math.round(effective / 1000);
    const epochs = raw.get(at) ?? new Map<number, { clicks: number; youngest: number }>();
    raw.set(at, epochs);
    const epoch = epochs.get(key) ?? { clicks: 0, youngest: age };
    epochs.set(key, { clicks: epoch.clicks + days.clicks[row], youngest: Math.min(epoch.youngest, age) });
  }
  const oldest = Math.min(HISTORY_DAYS, largest(days.age) + 1);
  const list = new Map<number, Epoch[]>();
  for (const [at, epochs] of raw) {
    const ordered = [...epochs]
      .map(([key, one]) => ({ bid: key * 1000, ...one }))
      .sort((a, b) => a.youngest - b.youngest);
    if (ordered.length < 2) continue;
    list.set(
      at,
      ordered.map(({ bid, clicks, youngest }, place) => {
        const length = Math.max(1, (ordered[place + 1]?.youngest ?? oldest) - (place === 0 ? 0 : youngest));
        return {
          lnBid: Math.log(bid),
          y: Math.log((clicks + 0.5) / length),
          weight: 1 / (1 / (clicks + 0.5) + 0.02 + 0.1 / length),
        };
      }),
    );
  }
  return list;
}
