import { chanceToReach, estimateConversion, EVIDENCE_GRADES, neededConversion } from '../evidence';
import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import { CPC_ELASTICITY } from './exposures';
import { unsettledDays } from './hold';
import { campaignPlans } from './modifiers';
import type { CampaignPlan } from './modifiers';
import type { AimSettings } from './observations';
import type { PreparedBids } from './prepareBids';
import { emptyAimed } from './proposalColumns';
import type { AimedColumns } from './proposalColumns';
import { solveRanges } from './solveRanges';
import type { AimedSolution } from './solveRanges';

/** Where every target is to go, and what is known of it: what no pace changes. Worked out once, stepped toward at any pace. */
export interface AimedBids {
  prepared: PreparedBids;
  plans: CampaignPlan[];
  solution: AimedSolution;
  /** Days before the decision day whose orders are not in yet. */
  unsettled: number;
  /** Largest bid after / bid now at which a target by itself stays under its target ACOS, by target. */
  limit: Float64Array;
  columns: AimedColumns;
}

/** Solves for all targets at once. Linear in targets. */
export function aimBids(prepared: PreparedBids, settings: AimSettings): AimedBids {
  const { observations, factors, exposures, worths, kappa, price } = prepared;
  const plans = campaignPlans(observations, factors, settings);
  const solution = solveRanges(observations, settings, exposures, worths, plans, kappa, price);
  const size = observations.targets.length;
  const aimed: AimedBids = {
    prepared,
    plans,
    solution,
    unsettled: unsettledDays(observations),
    limit: new Float64Array(size),
    columns: emptyAimed(size),
  };
  for (let target = 0; target < size; target += 1) aimTarget(target, aimed);
  return aimed;
}

/** Writes down what one target is aimed at, and what it was decided on. */
function aimTarget(target: number, aimed: AimedBids): void {
  const { prepared, plans, solution, limit, columns } = aimed;
  const { observations, exposures, priors, worths, kappa, paid } = prepared;
  const { bid, campaign } = observations.targets[target];
  const { exposure, orders, clicks, cpc } = exposures;
  const prior = { mean: priors.mean[target], strength: priors.strength };
  const { mean, low, high, grade } = estimateConversion(exposure[target], orders[target], prior);
  const { mix, dry } = plans[campaign];
  const acos = solution.acos[target];
  const value = worths.value[target] * mix;
  const needed = neededConversion(cpc[target], acos, value);
  limit[target] = mostUnderTarget(target, aimed);
  columns.from[target] = bid;
  columns.wanted[target] = Math.round(bounded(bid, solution.wanted[target], limit[target]));
  columns.aim[target] = acos;
  columns.raise[target] = exposures.raises[campaign];
  columns.rho[target] = solution.rho[target];
  columns.clicks[target] = clicks[target];
  columns.orders[target] = orders[target];
  columns.exposure[target] = exposure[target];
  columns.mean[target] = mean;
  columns.low[target] = low;
  columns.high[target] = high;
  columns.usual[target] = priors.mean[target];
  columns.grade[target] = EVIDENCE_GRADES.indexOf(grade);
  columns.rpc[target] = worths.rpc[target] * mix;
  columns.rpcLow[target] = low * value;
  columns.rpcHigh[target] = high * value;
  columns.cpc[target] = cpc[target];
  columns.needed[target] = needed;
  columns.chance[target] = needed > 0 ? chanceToReach(needed, exposure[target], orders[target], prior) : 1;
  const flow = exposures.flow[target] * paid[campaign];
  columns.nowClicks[target] = flow * DAYS_PER_MONTH;
  columns.nowSpend[target] = flow * cpc[target] * DAYS_PER_MONTH;
  columns.nowSales[target] = kappa * flow * worths.rpc[target] * mix * DAYS_PER_MONTH;
  columns.dry[target] = dry ?? NaN;
  columns.held[target] = solution.held[campaign];
  putHistory(target, aimed);
}

/** What it did since it was last changed, and what it brought along. */
function putHistory(target: number, { prepared, unsettled, columns }: AimedBids): void {
  const { observations, exposures } = prepared;
  const { change, before } = observations.targets[target];
  columns.daysAgo[target] = change?.daysAgo ?? NaN;
  columns.movedFrom[target] = change?.from ?? NaN;
  if (change) {
    columns.settledDays[target] = Math.max(0, change.daysAgo - unsettled);
    columns.sinceClicks[target] = exposures.since.clicks[target];
    columns.sinceOrders[target] = exposures.since.orders[target];
  }
  columns.beforeClicks[target] = before?.clicks ?? NaN;
  columns.beforeOrders[target] = before?.orders ?? 0;
  columns.beforeSales[target] = before?.sales ?? 0;
}

/** Largest bid after / bid now at which the target by itself stays under its target ACOS: CPC ~ bid to the 0.8. */
function mostUnderTarget(target: number, { prepared, plans, solution }: AimedBids): number {
  const { observations, exposures, worths, kappa } = prepared;
  const { campaign } = observations.targets[target];
  const cost = exposures.cpc[target];
  // What the last weeks brought less than estimated counts; what they brought more may not last.
  const worth = worths.rpc[target] * plans[campaign].mix * Math.min(1, kappa);
  const most = cost > 0 ? ((solution.acos[target] * worth) / cost) ** (1 / CPC_ELASTICITY) : Infinity;
  return most / plans[campaign].gain;
}

/** A raise goes no further than the limit; a cut is not touched. @param limit bid after / bid now */
export const bounded = (bid: Micros, to: Micros, limit: number): Micros =>
  to > bid ? Math.max(bid, Math.min(to, bid * limit)) : to;
