import type { FactorRatio, PlacementFactors } from '../bids';
import { PLACEMENTS } from '../structure';

const REST = PLACEMENTS.indexOf('rest');
/** With fewer orders at a placement a group tells nothing of its own. */
const LEAST_ORDERS = 30;
/** Half the width of a 95 % interval, in standard deviations: of many groups some differ by chance. */
const Z95 = 1.96;

/** A group of campaigns whose clicks are worth something else at a placement than the account's. */
export interface UnlikeGroup extends FactorRatio {
  group: string;
  placement: number;
}

/**
 * Groups of campaigns in which a click at a placement, against one at rest of search, is surely worth more or less than over the whole
 * account: ratio = (K_gi / E_gi) / (K_gr / E_gr), E = sum over campaigns of clicks at the rate that the campaign has there by the account's
 * factors; its logarithm varies by 1 / K_gi + 1 / K_gr. The largest difference first.
 * @param groupOf the group of a campaign; null: none
 */
export function unlikeGroups(
  factors: PlacementFactors,
  campaigns: number,
  groupOf: (campaign: number) => string | null,
): UnlikeGroup[] {
  const sums = new Map<string, { kept: number[]; expected: number[] }>();
  for (let campaign = 0; campaign < campaigns; campaign += 1) {
    const group = groupOf(campaign);
    if (group === null) continue;
    const usual = PLACEMENTS.map((_, placement) => factors.ofAccount(placement, REST).ratio);
    const [orders, weighed] = [0, 1].map((which) =>
      PLACEMENTS.reduce(
        (sum, _, at) =>
          sum + (which === 0 ? factors.orders(campaign, at) : factors.clicks(campaign, at) * usual[at]),
        0,
      ),
    );
    if (weighed <= 0) continue;
    const sum = sums.get(group) ?? { kept: PLACEMENTS.map(() => 0), expected: PLACEMENTS.map(() => 0) };
    PLACEMENTS.forEach((_, at) => {
      sum.kept[at] += factors.orders(campaign, at);
      sum.expected[at] += (orders / weighed) * factors.clicks(campaign, at) * usual[at];
    });
    sums.set(group, sum);
  }
  const unlike = [...sums].flatMap(([group, { kept, expected }]) =>
    PLACEMENTS.flatMap((_, placement): UnlikeGroup[] => {
      if (placement === REST || kept[placement] < LEAST_ORDERS || kept[REST] < LEAST_ORDERS) return [];
      const off = kept[placement] / expected[placement] / (kept[REST] / expected[REST]);
      const width = Z95 * Math.sqrt(1 / kept[placement] + 1 / kept[REST]);
      if (Math.abs(Math.log(off)) <= width) return [];
      const ratio = off * factors.ofAccount(placement, REST).ratio;
      return [{ group, placement, ratio, low: ratio / Math.exp(width), high: ratio * Math.exp(width) }];
    }),
  );
  const distance = ({ ratio, placement }: UnlikeGroup) =>
    Math.abs(Math.log(ratio / factors.ofAccount(placement, REST).ratio));
  return unlike.sort((a, b) => distance(b) - distance(a));
}
