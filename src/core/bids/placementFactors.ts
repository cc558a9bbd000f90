import { HISTORY_DAYS, PLACEMENT_COUNT, REST, shareAt } from './observations';
import type { BidObservations } from './observations';

/** How much more (or less) a click brings at a placement than at rest of search. */
export interface PlacementFactors {
  /** Of a campaign at a placement. */
  at: (campaign: number, placement: number) => number;
  /** Click shares of a campaign by placement over the last 14 days, shrunk toward the account's. */
  shares: (campaign: number) => number[];
  /** Click-weighted factor of a campaign on a day of some age: what its clicks of that day were worth. */
  onDay: (campaign: number, age: number) => number;
  /** Clicks of a campaign at a placement, those of days whose orders are still coming in counted in part. */
  clicks: (campaign: number, placement: number) => number;
  /** Orders that came of them. */
  orders: (campaign: number, placement: number) => number;
  /** A campaign's factor at a placement over that at another, with its 80 % interval. */
  against: (campaign: number, placement: number, other: number) => FactorRatio;
  /** The same over the whole account. */
  ofAccount: (placement: number, other: number) => FactorRatio;
}

/** How many times a click at one placement brings what it brings at another. */
export interface FactorRatio {
  ratio: number;
  low: number;
  high: number;
}

const ROUNDS = 12;
const RECENT_DAYS = 14;
/** Clicks at the account's shares that are added to a campaign's own. */
const SHARE_CLICKS = 5;
/** Orders at the account's factor that are added to a campaign's own at a placement. */
const FACTOR_ORDERS = 200;
/** Half the width of an 80 % interval, in standard deviations. */
const Z80 = 1.2816;

/**
 * Placement factors by alternating between campaign rates and placement factors, 12 times:
 * mu_c = (K_c + 5) / (sum e f + 5 / m0), f_i = (K_i + 10) / (sum e mu + 10), rest of search = 1; then per campaign
 * f_ci = f_i (K_ci + 200) / (e mu f_i + 200). K orders, e clicks weighted by the share of their orders that is visible. Intervals: the
 * logarithm of a sum of orders varies by 1 / orders, those of the start counted in.
 */
export function placementFactors({ campaigns, placements, completion }: BidObservations): PlacementFactors {
  const cells = campaigns.length * PLACEMENT_COUNT;
  const [clicks, orders, recent] = [
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
  ];
  for (let at = 0; at < placements.age.length; at += 1) {
    const age = placements.age[at];
    if (age >= HISTORY_DAYS) continue;
    const cell = placements.campaign[at] * PLACEMENT_COUNT + placements.placement[at];
    clicks[cell] += placements.clicks[at] * shareAt(completion, age);
    orders[cell] += placements.orders[at];
    if (age < RECENT_DAYS) recent[cell] += placements.clicks[at];
  }
  const { f, mu } = alternate(clicks, orders, campaigns.length);
  const own = Float64Array.from({ length: cells }, (_, cell) => {
    const placement = cell % PLACEMENT_COUNT;
    const expected = clicks[cell] * mu[Math.floor(cell / PLACEMENT_COUNT)] * f[placement];
    return (f[placement] * (orders[cell] + FACTOR_ORDERS)) / (expected + FACTOR_ORDERS);
  });
  const shares = clickShares(recent, campaigns.length);
  const at = (campaign: number, placement: number) => own[campaign * PLACEMENT_COUNT + placement];
  const usual = shares.map((list, campaign) =>
    list.reduce((sum, share, placement) => sum + share * at(campaign, placement), 0),
  );
  const days = dailyFactors(placements, at, usual);
  const sold = new Float64Array(PLACEMENT_COUNT);
  for (let cell = 0; cell < cells; cell += 1) sold[cell % PLACEMENT_COUNT] += orders[cell];
  const varies = (placement: number) => 1 / (sold[placement] + 10);
  const ownVaries = (campaign: number, placement: number) =>
    varies(placement) + 1 / (orders[campaign * PLACEMENT_COUNT + placement] + FACTOR_ORDERS);
  return {
    at,
    shares: (campaign) => shares[campaign],
    onDay: (campaign, age) => days[campaign * HISTORY_DAYS + age],
    clicks: (campaign, placement) => clicks[campaign * PLACEMENT_COUNT + placement],
    orders: (campaign, placement) => orders[campaign * PLACEMENT_COUNT + placement],
    against: (campaign, placement, other) =>
      placement === other
        ? SAME
        : within(
            at(campaign, placement) / at(campaign, other),
            ownVaries(campaign, placement) + ownVaries(campaign, other),
          ),
    ofAccount: (placement, other) =>
      placement === other ? SAME : within(f[placement] / f[other], varies(placement) + varies(other)),
  };
}

const SAME: FactorRatio = { ratio: 1, low: 1, high: 1 };

/** A ratio with the 80 % interval that the variance of its logarithm gives it. */
function within(ratio: number, variance: number): FactorRatio {
  const width = Math.exp(Z80 * Math.sqrt(variance));
  return { ratio, low: ratio / width, high: ratio * width };
}

function alternate(clicks: Float64Array, orders: Float64Array, campaigns: number) {
  const f = new Array<number>(PLACEMENT_COUNT).fill(1);
  const mu = new Float64Array(campaigns);
  const total = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0);
  const m0 = (total(orders) + 1) / (total(clicks) + 12);
  for (let round = 0; round < ROUNDS; round += 1) {
    const [kept, expected] = [new Float64Array(PLACEMENT_COUNT), new Float64Array(PLACEMENT_COUNT)];
    for (let campaign = 0; campaign < campaigns; campaign += 1) {
      let [k, e] = [5, 5 / m0];
      for (let placement = 0; placement < PLACEMENT_COUNT; placement += 1) {
        const cell = campaign * PLACEMENT_COUNT + placement;
        k += orders[cell];
        e += clicks[cell] * f[placement];
      }
      mu[campaign] = k / e;
      for (let placement = 0; placement < PLACEMENT_COUNT; placement += 1) {
        const cell = campaign * PLACEMENT_COUNT + placement;
        kept[placement] += orders[cell];
        expected[placement] += clicks[cell] * mu[campaign];
      }
    }
    for (let placement = 0; placement < PLACEMENT_COUNT; placement += 1)
      f[placement] = (kept[placement] + 10) / (expected[placement] + 10);
    const rest = f[REST];
    for (let placement = 0; placement < PLACEMENT_COUNT; placement += 1) f[placement] /= rest;
  }
  return { f, mu };
}

function clickShares(recent: Float64Array, campaigns: number): number[][] {
  const account = new Array<number>(PLACEMENT_COUNT).fill(1);
  for (let cell = 0; cell < recent.length; cell += 1) account[cell % PLACEMENT_COUNT] += recent[cell];
  const all = account.reduce((sum, value) => sum + value, 0);
  return Array.from({ length: campaigns }, (_, campaign) => {
    const own = account.map(
      (value, placement) => recent[campaign * PLACEMENT_COUNT + placement] + (SHARE_CLICKS * value) / all,
    );
    const sum = own.reduce((total, value) => total + value, 0);
    return own.map((value) => value / sum);
  });
}

/** Click-weighted factors by campaign and age; what is usual there where there was no click. */
function dailyFactors(
  { campaign, placement, age, clicks }: BidObservations['placements'],
  at: (campaign: number, placement: number) => number,
  usual: number[],
): Float64Array {
  const cells = usual.length * HISTORY_DAYS;
  const [all, weighted] = [new Float64Array(cells), new Float64Array(cells)];
  for (let row = 0; row < age.length; row += 1) {
    if (age[row] >= HISTORY_DAYS || clicks[row] === 0) continue;
    const key = campaign[row] * HISTORY_DAYS + age[row];
    all[key] += clicks[row];
    weighted[key] += clicks[row] * at(campaign[row], placement[row]);
  }
  return weighted.map((sum, key) => (all[key] > 0 ? sum / all[key] : usual[Math.floor(key / HISTORY_DAYS)]));
}
