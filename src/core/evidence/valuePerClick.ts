import type { Sums } from '../measures';
import { estimateConversion, PRIOR_ORDERS } from './conversion';
import type { ConversionPrior, EvidenceGrade } from './conversion';
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

/** What an order of a row brings: (sales + 15 x usual value) / (orders + 15); null where none is known. Micros. */
export function orderValueOf({ sales, orders }: Sums, { orderValue }: Usual): number | null {
  return orderValue === null ? null : (sales + OWN_VALUE_WEIGHT * orderValue) / (orders + OWN_VALUE_WEIGHT);
}

/**
 * Revenue per click = estimated conversion rate x order value, the order value being
 * (sales + 15 x usual value) / (orders + 15). Null when no order value is known in the whole account.
 * @param prior what is expected of its conversion; the usual one unless more is known
 */
export function estimateValuePerClick(
  sums: Sums,
  usual: Usual,
  prior: ConversionPrior = { mean: usual.conversion, strength: PRIOR_ORDERS },
): ValuePerClick | null {
  const value = orderValueOf(sums, usual);
  if (value === null) return null;
  const conversion = estimateConversion(sums.clicks, sums.orders, prior);
  return {
    mean: conversion.mean * value,
    low: conversion.low * value,
    high: conversion.high * value,
    grade: conversion.grade,
    conversion: conversion.mean,
  };
}
