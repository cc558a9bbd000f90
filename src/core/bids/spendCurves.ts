import { campaignPlans } from './modifiers';
import type { AimSettings } from './observations';
import type { PreparedBids } from './prepareBids';
import { responsesOf, SPEND_POWER, tried } from './responses';
import { solve } from './solve';

/** What campaigns would spend and sell at shares of the multiplier that their targets allow, had they money enough. Micros a day. */
export interface SpendCurves {
  /** Shares of the multiplier, rising to 1; and the multiplier of each scope. */
  shares: Float64Array;
  multiplier: Float64Array;
  /** By campaign x shares. */
  spend: Float64Array;
  sales: Float64Array;
  /** The same at present bids, by campaign. */
  now: { spend: Float64Array; sales: Float64Array; clicks: Float64Array };
}

const POINTS = 40;
const LEAST_SHARE = 0.02;

/**
 * The curves that money is shared out by: bids solved for their targets with budgets out of the way, and then with ever less. No pace
 * changes them.
 */
export function spendCurves(
  prepared: PreparedBids,
  { aim, modifiers }: Pick<AimSettings, 'aim' | 'modifiers'>,
): SpendCurves {
  const { exposures, factors, worths, kappa, price } = prepared;
  const { campaigns: known, targets, scopes: aims } = prepared.observations;
  const observations = {
    ...prepared.observations,
    campaigns: known.map((one) => ({ ...one, budget: null })),
    scopes: aims.map(({ targetAcos }) => ({ targetAcos })),
  };
  const free: AimSettings = { aim, modifiers, mostSpend: null };
  const plans = campaignPlans(observations, factors, free);
  const responses = responsesOf(observations, free, exposures, worths, plans, kappa, price);
  const { multiplier } = solve(observations, free, exposures, responses);
  const { worth, cost, sales, campaignOf, scopeOf, rhoOf, moved, spendAt } = responses;
  const shares = Float64Array.from({ length: POINTS }, (_, at) => LEAST_SHARE ** (1 - at / (POINTS - 1)));
  // rho and its power by scope x shares: the same for all targets of a scope.
  const rhos = Float64Array.from({ length: aims.length * POINTS }, (_, cell) => {
    const scope = Math.floor(cell / POINTS);
    return rhoOf(scope, multiplier[scope] * shares[cell % POINTS]);
  });
  const powers = rhos.map((rho) => rho ** SPEND_POWER);
  const cells = known.length * POINTS;
  const curves = { spend: new Float64Array(cells), sales: new Float64Array(cells) };
  const now = {
    spend: new Float64Array(known.length),
    sales: new Float64Array(known.length),
    clicks: new Float64Array(known.length),
  };
  for (let target = 0; target < targets.length; target += 1) {
    if (worth[target] === 0) continue;
    const campaign = campaignOf[target];
    now.spend[campaign] += exposures.flow[target] * exposures.cpc[target];
    now.clicks[campaign] += exposures.flow[target];
    now.sales[campaign] += kappa * exposures.flow[target] * worths.rpc[target] * plans[campaign].mix;
    const scope = scopeOf[target];
    for (let at = 0; at < POINTS; at += 1) {
      const cell = scope * POINTS + at;
      const x = tried(moved(target, rhos[cell]));
      curves.spend[campaign * POINTS + at] += cost[target] * spendAt(target, x, rhos[cell], powers[cell]);
      curves.sales[campaign * POINTS + at] += sales[target] * x;
    }
  }
  return { shares, multiplier, ...curves, now };
}
