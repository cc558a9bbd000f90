import type { Sums } from '../measures';
import { estimateConversion, PRIOR_ORDERS } from './conversion';
import type { EvidenceGrade } from './conversion';
import type { Usual } from './usual';

/** Orders at the usual order value that are added to a row's own. */
const OWN_VALUE_WEIGHT = 15;

/** Revenue per click of a row, in micros, with its 80 % interval. */
export interface ValuePerClick {
  mean: number;
  low: number;
  high: number;
  grade: EvidenceGrade;
  /** Estimated orders per click. */
  conversion: number;
}

/**
 * Revenue per click = estimated conversion rate x order value, the order value being
 * (sales + 15 x usual value) / (orders + 15). Null when no order value is known in the whole account.
 */
export function estimateValuePerClick(sums: Sums, usual: Usual): ValuePerClick | null {
  if (usual.orderValue === null) return null;
  const conversion = estimateConversion(sums.clicks, sums.orders, {
    mean: usual.conversion,
    strength: PRIOR_ORDERS,
  });
  const value = (sums.sales + OWN_VALUE_WEIGHT * usual.orderValue) / (sums.orders + OWN_VALUE_WEIGHT);
  return {
    mean: conversion.mean * value,
    low: conversion.low * value,
    high: conversion.high * value,
    grade: conversion.grade,
    conversion: conversion.mean,
  };
}
