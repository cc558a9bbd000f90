import type { Sums } from '../measures';
import { formatMoney, formatShare } from '../units';
import type { Micros } from '../units';
import { PLACEMENT_LABELS, PLACEMENTS } from '../structure';

/** What a placement has to show before its modifier is raised, and how far it goes. Shares; money in micros; null: not asked. */
export interface PlacementAsks {
  /** Settled days that count: their orders are in. */
  days: number;
  least: { spend: Micros | null; conversion: number | null; ctr: number | null };
  most: { cpc: Micros | null; acos: number | null };
  /** Highest modifier, and highest bid that a modifier makes of the mean base bid. */
  cap: number | null;
  bid: Micros | null;
  /** Which campaigns come first where a night has no room for all. */
  first: PlacementOrder;
}

export const PLACEMENT_ORDERS = ['gain', 'spend', 'acos'] as const;
/** The most sales to win, the most spend, the highest ACOS. */
export type PlacementOrder = (typeof PLACEMENT_ORDERS)[number];

export const USUAL_PLACEMENT_ASKS: PlacementAsks = {
  days: 60,
  least: { spend: null, conversion: null, ctr: null },
  most: { cpc: null, acos: null },
  cap: null,
  bid: null,
  first: 'gain',
};

/** What holds for the modifiers of one campaign. */
export interface PlacementBounds {
  /** By placement: what is missing for a raise; null: nothing is. */
  missing: (string | null)[];
  cap: number | null;
  bid: Micros | null;
}

/** What a placement's days lack for a raise, in words; null: nothing. A rate that is not known meets nothing that is asked of it. */
export function missingFor(
  { impressions, clicks, spend, orders, sales }: Sums,
  { least, most, days }: PlacementAsks,
): string | null {
  const asked: [
    has: number | null,
    bound: number | null,
    isLeast: boolean,
    words: (value: number) => string,
  ][] = [
    [spend, least.spend, true, (value) => `spend of ${formatMoney(value)}`],
    [
      clicks > 0 ? orders / clicks : null,
      least.conversion,
      true,
      (value) => `conversion of ${formatShare(value)}`,
    ],
    [
      impressions > 0 ? clicks / impressions : null,
      least.ctr,
      true,
      (value) => `CTR of ${formatShare(value, 2)}`,
    ],
    [clicks > 0 ? spend / clicks : null, most.cpc, false, (value) => `CPC of ${formatMoney(value)}`],
    [sales > 0 ? spend / sales : null, most.acos, false, (value) => `ACOS of ${formatShare(value)}`],
  ];
  for (const [has, bound, isLeast, words] of asked) {
    if (bound === null || (has !== null && (isLeast ? has >= bound : has <= bound))) continue;
    return has === null
      ? `no ${words(bound).split(' of ')[0]} in ${days} days`
      : `${words(has)} in ${days} days, ${isLeast ? 'under' : 'over'} the ${words(bound).split(' of ')[1]} that is asked`;
  }
  return null;
}

/** What held modifiers back, told behind the reason; empty where nothing did. */
export const boundsText = (held: readonly (string | null)[]): string =>
  held
    .flatMap((why, at) => (why === null ? [] : [` ${PLACEMENT_LABELS[PLACEMENTS[at]]} is held: ${why}.`]))
    .join('');
