import { formatCount, formatMoney } from '../units';
import type { Micros } from '../units';
import type { GrowthPlan } from './plan';

/** Something that is tried, with all that is known of it. Money in micros. */
export interface TriedTarget {
  id: number;
  /** Days since its first one. */
  days: number;
  clicks: number;
  spend: Micros;
  /** All that are visible, late ones too. */
  orders: number;
}

/** Whether something had its fair chance, both the money and the time, and sold nothing. */
export const isGivenUp = (
  { days, spend, orders }: TriedTarget,
  { chance }: Pick<GrowthPlan['find'], 'chance'>,
): boolean => orders === 0 && spend >= chance.spend && days >= chance.days;

/** Why something is given up. */
export const givenUpReason = (
  { days, clicks, spend }: TriedTarget,
  { chance }: Pick<GrowthPlan['find'], 'chance'>,
): string =>
  `${formatMoney(spend)} and ${formatCount(clicks)} clicks in ${formatCount(days)} days, and no order: it had its chance of ${formatMoney(chance.spend)} and ${formatCount(chance.days)} days.`;

/** A bid is not raised again before so many days have shown what it does. */
const RAISED_AFTER = 3;
/** What is old and hardly shown has few searches: bidding more finds nothing. In times of the days of a chance. */
const YOUNG = 3;
/** It is raised while it gets less than this share of the money that its chance would spend by now. */
const TOO_LITTLE = 0.5;

/** What a bid that hardly gets clicks is raised to, so that its chance comes about at all; null: it stays. Money in micros. */
export function raisedBid(
  { days, spend, orders }: TriedTarget,
  { chance }: Pick<GrowthPlan['find'], 'chance'>,
  { bid, most, up, sinceChange }: { bid: Micros; most: Micros; up: number; sinceChange: number },
  bidStep: Micros,
): { to: Micros; reason: string } | null {
  if (orders > 0 || days < RAISED_AFTER || sinceChange < RAISED_AFTER || days > YOUNG * chance.days)
    return null;
  const due = chance.spend * Math.min(1, days / chance.days) * TOO_LITTLE;
  const to = Math.floor(Math.min(most, Math.max(bid * (1 + up), bid + bidStep)) / bidStep) * bidStep;
  if (spend >= due || to <= bid) return null;
  return {
    to,
    reason: `It spent ${formatMoney(spend)} in ${formatCount(days)} days of the ${formatMoney(chance.spend)} that are its chance: at ${formatMoney(bid)} it is hardly shown.`,
  };
}

/** A search term with what it brought. */
export interface FoundTerm {
  text: string;
  orders: number;
  sales: Micros;
}

/** No more new terms join in a night: each has to get its chance out of the same money. */
const MOST_NEW = 5;

/**
 * Terms that are to be tried next: one's own first, then what sold elsewhere, the most sales first; as long as money for their chance is there.
 * @param isThere whether a term is tried already @param room how many more the stage's money gives a chance at once
 */
export function nextTerms(
  { terms, others }: Pick<GrowthPlan['find'], 'terms' | 'others'>,
  sold: readonly FoundTerm[],
  isThere: (text: string) => boolean,
  room: number,
): { text: string; reason: string }[] {
  const own = terms
    .filter((text) => !isThere(text))
    .map((text) => ({ text, reason: 'One of the plan’s own terms.' }));
  const known = new Set(terms);
  const found = others
    ? [...sold]
        .filter(({ text, orders }) => orders > 0 && !known.has(text) && !isThere(text))
        .sort((a, b) => b.sales - a.sales)
        .map(({ text, orders, sales }) => ({
          text,
          reason: `It sold in other campaigns of the product: ${formatCount(orders)} ${orders === 1 ? 'order' : 'orders'}, ${formatMoney(sales)}.`,
        }))
    : [];
  // One's own were asked for: they all come at once.
  return [...own, ...found.slice(0, Math.max(0, Math.min(MOST_NEW, room - own.length)))];
}

/** How many targets a stage's money gives their chance at once: so much a day, for the days of a chance. */
export const chancesFor = (perDay: Micros, { chance }: Pick<GrowthPlan['find'], 'chance'>): number =>
  chance.spend <= 0 ? Infinity : Math.max(1, Math.floor((perDay * chance.days) / chance.spend));
