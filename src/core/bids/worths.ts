import type { BidObservations } from './observations';
import type { Exposures } from './exposures';
import type { Priors } from './priors';

/** What a click of each target brings, by index. Money in micros. */
export interface Worths {
  /** Estimated orders per unit of exposure, at most 1. */
  conversion: Float64Array;
  /** Order value. */
  value: Float64Array;
  /** Revenue per click at rest of search: conversion x order value. */
  rpc: Float64Array;
}

/** Orders at the product's order value that are added to a target's own. */
const VALUE_ORDERS = 15;

/** Sums of targets that an estimate is made of. */
type Sums = Pick<Exposures, 'exposure' | 'orders' | 'sales'>;

/**
 * Revenue per click, RPC_j = m_j (alpha + k_j) / (alpha + e_j m_j) x V_j with V_j = (R_j + 15 V_p) / (k_j + 15): the posterior mean
 * of a gamma-Poisson model times a shrunk order value. No data gives the prior; more orders never lower it.
 */
export function worthOf(
  { exposure, orders, sales }: Sums,
  { mean, strength, productValue }: Priors,
  { targets }: Pick<BidObservations, 'targets'>,
  at: number,
): { conversion: number; value: number; rpc: number } {
  const m = mean[at];
  const conversion = Math.min(1, (m * (strength + orders[at])) / (strength + exposure[at] * m));
  const usual = productValue[targets[at].product];
  const value = (sales[at] + VALUE_ORDERS * usual) / (orders[at] + VALUE_ORDERS);
  return { conversion, value, rpc: conversion * value };
}

/** What a click of every target brings. */
export function worthsOf(
  observations: Pick<BidObservations, 'targets'>,
  exposures: Sums,
  priors: Priors,
): Worths {
  const size = observations.targets.length;
  const worths = {
    conversion: new Float64Array(size),
    value: new Float64Array(size),
    rpc: new Float64Array(size),
  };
  for (let at = 0; at < size; at += 1) {
    const { conversion, value, rpc } = worthOf(exposures, priors, observations, at);
    worths.conversion[at] = conversion;
    worths.value[at] = value;
    worths.rpc[at] = rpc;
  }
  return worths;
}
