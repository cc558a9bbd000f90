import { CPC_ELASTICITY } from '../bids';
import type { Month } from '../bids';
import type { PlacementAt } from './proposal';

type Weighed = Pick<PlacementAt, 'from' | 'share' | 'cost' | 'worth'>;

const SPEND_POWER = 1 + CPC_ELASTICITY;

/** Effective bid after / before at each placement, with base bids as they are. */
const raised = (placements: readonly Weighed[], to: readonly number[]) =>
  placements.map(({ from }, at) => (1 + to[at]) / (1 + from));

/**
 * Base bids after / before with which a campaign spends what it spent under other modifiers:
 * (sum s c q^1.8)^(-1/1.8), s click share, c what is bid there over the campaign's mean, q raise after / before; clicks ~ bid, cost per click ~
 * bid to the 0.8.
 * @param to modifiers, shares
 */
export function basesFor(placements: readonly Weighed[], to: readonly number[]): number {
  const q = raised(placements, to);
  const spend = placements.reduce((sum, { share, cost }, at) => sum + share * cost * q[at] ** SPEND_POWER, 0);
  return spend > 0 ? spend ** (-1 / SPEND_POWER) : 1;
}

/** What a campaign's month comes to under other modifiers and base bids. @param bases base bids after / before */
export function monthUnder(
  now: Month,
  placements: readonly Weighed[],
  to: readonly number[],
  bases: number,
): Month {
  const x = raised(placements, to).map((q) => q * bases);
  const sum = (of: (one: Weighed) => number, power = 1) =>
    placements.reduce((all, one, at) => all + of(one) * x[at] ** power, 0);
  const before = placements.reduce((all, { share, worth }) => all + share * worth.ratio, 0);
  return {
    clicks: now.clicks * sum(({ share }) => share),
    spend: now.spend * sum(({ share, cost }) => share * cost, SPEND_POWER),
    sales: before > 0 ? (now.sales * sum(({ share, worth }) => share * worth.ratio)) / before : now.sales,
  };
}
