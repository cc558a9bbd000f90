import { CPC_ELASTICITY } from './exposures';
import type { Exposures } from './exposures';
import type { CampaignPlan } from './modifiers';
import type { BidObservations, AimSettings } from './observations';
import { shadeOf } from './priceRule';
import type { PriceRule } from './priceRule';
import type { Worths } from './worths';

/** Spend ~ bid to this power: clicks ~ bid, cost per click ~ bid to the 0.8. */
export const SPEND_POWER = 1 + CPC_ELASTICITY;
const [LEAST_RHO, MOST_RHO] = [0.02, 1.2];
/** Where the own bid sets the price, bids stand below a click's worth by themselves. */
const MOST_RHO_SHADED = 2;
const STRICT = 0.97;
/**
 * How far bids may move while the multiplier is looked for: it says where a scope is to go, the step limits only how far of the
 * way a round goes. (Within the limits a scope that cannot land in one round would get a multiplier without measure.)
 */
const [LEAST_TRIED, MOST_TRIED] = [0.2, 4];
const [LEAST_POWER, MOST_POWER] = [LEAST_TRIED ** SPEND_POWER, MOST_TRIED ** SPEND_POWER];

/** Bid after / bid now as far as it is tried. */
export const tried = (x: number) => Math.min(MOST_TRIED, Math.max(LEAST_TRIED, x));

/** How every target answers to a multiplier: bid = rho x RPC x scale, rho = multiplier x target ACOS of its scope. Micros a day. */
export interface Responses {
  /** Bid of each target for each unit of rho, over its bid now; 0 for what does not run. */
  worth: Float64Array;
  /** Most that is bid of a click's worth there, whatever the multiplier. */
  mostRho: Float64Array;
  /** Spend, and sales that its target ACOS allows spend for, at its present bid under the new modifiers. */
  cost: Float64Array;
  sales: Float64Array;
  allowance: Float64Array;
  campaignOf: Int32Array;
  scopeOf: Int32Array;
  /** rho of a scope at a multiplier, within what is ever bid of a click's worth; and the least and largest of those bounds. */
  rhoOf: (scope: number, multiplier: number) => number;
  rhoBounds: readonly [least: number, most: number];
  /** Bid after / bid now at a rho, less what is saved by bidding below a click's worth where the own bid sets its price; 1 for what does not run. */
  moved: (target: number, rho: number) => number;
  /** Spend after / spend now at such a move, as far as it is tried. @param power rho to the power of spend */
  spendAt: (target: number, x: number, rho: number, power: number) => number;
}

export function responsesOf(
  observations: BidObservations,
  settings: AimSettings,
  exposures: Exposures,
  worths: Worths,
  plans: CampaignPlan[],
  kappa: number,
  price: PriceRule,
): Responses {
  const { targets, scopes, products } = observations;
  const strict = settings.aim === 'strict' ? STRICT : 1;
  const most = price.gamma > 0 ? MOST_RHO_SHADED : MOST_RHO;
  // Modifiers move effective bids beside the bids: what they move counts from the start.
  const gain = Float64Array.from(targets, ({ campaign }) => plans[campaign].gain);
  const [campaignOf, scopeOf] = [new Int32Array(targets.length), new Int32Array(targets.length)];
  targets.forEach(({ campaign, scope }, at) => {
    campaignOf[at] = campaign;
    scopeOf[at] = scope;
  });
  const sales = exposures.flow.map(
    (flow, at) => kappa * flow * gain[at] * worths.rpc[at] * plans[campaignOf[at]].mix,
  );
  const worth = worthOf();
  const worthPower = worth.map((one) => one ** SPEND_POWER);
  const mostRho = rhoCaps();
  const shaded = shadedBids();
  return {
    worth,
    mostRho,
    moved: (at, rho) => (worth[at] === 0 ? 1 : shaded(at, Math.min(rho, mostRho[at]) * worth[at])),
    // Nearly all targets share one rho: their power is a product of two that are known. Others stand at a bound of what is tried.
    spendAt: (at, x, rho, power) =>
      x === rho * worth[at]
        ? power * worthPower[at]
        : x === LEAST_TRIED
          ? LEAST_POWER
          : x === MOST_TRIED
            ? MOST_POWER
            : x ** SPEND_POWER,
    cost: exposures.flow.map((flow, at) => flow * exposures.cpc[at] * gain[at] ** SPEND_POWER),
    sales,
    allowance: sales.map((one, at) => scopes[scopeOf[at]].targetAcos * strict * one),
    campaignOf,
    scopeOf,
    rhoOf: (scope, multiplier) =>
      Math.min(
        most,
        Math.max(
          LEAST_RHO,
          Math.min(multiplier, settings.mostMultiplier?.[scope] ?? Infinity) * scopes[scope].targetAcos,
        ),
      ),
    rhoBounds: [LEAST_RHO, most],
  };

  function worthOf(): Float64Array {
    return worths.rpc.map((rpc, at) => {
      const { campaign, bid, isRunning } = targets[at];
      return isRunning && bid > 0 ? (rpc * plans[campaign].scale) / bid : 0;
    });
  }

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
    const caps = new Float64Array(targets.length).fill(Infinity);
    if (settings.aim !== 'keep profit') return caps;
    return caps.map((none, at) => {
      const margin = products[targets[at].product]?.margin ?? null;
      return margin === null ? none : Math.max(LEAST_RHO, margin);
    });
  }
}
