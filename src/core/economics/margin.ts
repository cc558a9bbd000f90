import type { Micros } from '../units';

/** What a product costs to sell, for each unit. Null: not known. */
export interface ProductCosts {
  price: Micros | null;
  goods: Micros | null;
  fees: Micros | null;
  shipping: Micros | null;
  /** Share of units that come back. */
  refundRate: number | null;
  /** What a returned unit still brings, micros. */
  recovered: Micros | null;
}

/** What a product leaves before ads. */
export interface Margin {
  /** Left of each unit sold, micros. */
  perUnit: Micros;
  /** The same as a share of the price: the break-even ACOS. */
  share: number;
}

/** The parts without which there is no margin. */
export const NEEDED_COSTS = ['price', 'goods', 'fees', 'shipping'] as const;

/**
 * Contribution margin before ads: (price - goods - fees - shipping - refund rate x (price - recovered)) / price. An unknown
 * refund rate or recovered value counts as 0; any other unknown part makes the whole unknown, which is not zero.
 * @returns null when a needed part is unknown or the price is 0
 */
export function marginOf(costs: ProductCosts): Margin | null {
  const { price, goods, fees, shipping } = costs;
  if (price === null || goods === null || fees === null || shipping === null || price <= 0) return null;
  const refunds = (costs.refundRate ?? 0) * (price - (costs.recovered ?? 0));
  const perUnit = price - goods - fees - shipping - refunds;
  return { perUnit: Math.round(perUnit), share: perUnit / price };
}

/** Which needed parts are unknown. */
export function missingCosts(costs: ProductCosts): (typeof NEEDED_COSTS)[number][] {
  return NEEDED_COSTS.filter((part) => costs[part] === null);
}

/** What may be paid for a click, or an order, without losing money. */
export interface BreakEven {
  /** Share of ad sales: the margin. */
  acos: number;
  /** Micros for an order: order value x margin; null without an order value. */
  costPerOrder: Micros | null;
  /** Micros for a click: conversion rate x order value x margin; null without clicks. */
  cpc: Micros | null;
}

/**
 * Break-even of a product from its margin and what its clicks bring.
 * @param conversion orders per click, null without clicks @param orderValue micros of sales per order, null without orders
 */
export function breakEven(margin: Margin, conversion: number | null, orderValue: number | null): BreakEven {
  const costPerOrder = orderValue === null ? null : Math.round(orderValue * margin.share);
  return {
    acos: margin.share,
    costPerOrder,
    cpc: conversion === null || costPerOrder === null ? null : Math.round(conversion * costPerOrder),
  };
}
