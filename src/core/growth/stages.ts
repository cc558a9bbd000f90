import { formatCount, formatShare } from '../units';
import type { GrowthCampaign, GrowthPlan, Stage } from './plan';

/** What a campaign has to show before it changes its stage. */
const LEAST = { days: 14, orders: 5 };
/** One that has grown goes back only when it is clearly above the range: no campaign moves to and fro. */
const CLEARLY = 1.15;

/** A campaign that goes on to another stage. */
export interface StageMove {
  campaign: number;
  to: Stage;
  reason: string;
}

/**
 * Campaigns whose bids have reached the range, and those that have left it since.
 * @param range ACOS that is aimed at, shares
 */
export function stageMoves(
  campaigns: readonly GrowthCampaign[],
  plan: GrowthPlan,
  range: { low: number; high: number },
): StageMove[] {
  if (!plan.tune.isOn || !plan.grow.isOn) return [];
  return campaigns.flatMap(({ id, stage, isRunning, days, orders, spend, sales }): StageMove[] => {
    if (!isRunning || days < LEAST.days || orders < LEAST.orders || sales <= 0) return [];
    const acos = spend / sales;
    const told = `ACOS ${formatShare(acos)} in ${formatCount(days)} settled days with ${formatCount(orders)} orders`;
    if (stage === 'tune' && acos <= range.high)
      return [
        {
          campaign: id,
          to: 'grow',
          reason: `${told}: within the ${formatShare(range.high)} that is aimed at, so it is tuned and may grow.`,
        },
      ];
    if (stage === 'grow' && acos > range.high * CLEARLY)
      return [
        {
          campaign: id,
          to: 'tune',
          reason: `${told}: above the ${formatShare(range.high)} that is aimed at, so it is tuned again.`,
        },
      ];
    return [];
  });
}
