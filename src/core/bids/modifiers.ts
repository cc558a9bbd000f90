import { smallest } from '../order';
import type { BidObservations, BidSettings } from './observations';
import type { PlacementFactors } from './placementFactors';

/** What is solved for a campaign beside its bids. */
export interface CampaignPlan {
  /** New raises by placement, shares. */
  modifiers: number[];
  /** Makes up in the base bids for what the modifiers raise: sum s f / sum s (1 + m). */
  scale: number;
  /** How far its bids are held because it runs dry. */
  held: number;
  /** Share of the last week's days on which it spent its budget; null without a daily one. */
  dry: number | null;
  /** Click-weighted placement factor: what a click of the campaign is worth against one at rest of search. */
  mix: number;
}

/** A placement with less of the clicks says nothing about the lowest factor. */
const LEAST_SHARE = 0.04;
const MOST_MODIFIER = 9;
/** A raise moves by a quarter in a round at most. */
const STEP = 0.25;
const DRY_DAYS = 7;
const DRY_SHARE = 0.97;

/**
 * Modifiers 1 + m_i = f_i / min f over placements with more than 4 % of clicks, at most 25 % a round; and how far a campaign
 * that runs dry is held: over half of the last 7 days dry x 0.85, over a quarter x 0.955, under a tenth x 1.09, in 0.3 … 1. (A
 * campaign that runs dry buys the same clicks cheaper at a lower bid.)
 */
export function campaignPlans(
  observations: BidObservations,
  factors: PlacementFactors,
  settings: BidSettings,
): CampaignPlan[] {
  const dry = dryShares(observations);
  return observations.campaigns.map(({ modifiers, held }, campaign) => {
    const shares = factors.shares(campaign);
    const f = shares.map((_, placement) => factors.at(campaign, placement));
    const lowest = smallest(f.filter((_, placement) => shares[placement] > LEAST_SHARE));
    const next = f.map((factor, placement) => {
      const now = 1 + modifiers[placement];
      // Hardly a click there: nothing is known that would speak for another raise.
      if (!settings.modifiers[placement] || shares[placement] <= LEAST_SHARE) return modifiers[placement];
      const wanted = Math.min(1 + MOST_MODIFIER, Math.max(1, factor / lowest));
      return Math.min(now * (1 + STEP), Math.max(Math.max(1, now * (1 - STEP)), wanted)) - 1;
    });
    const rounded = next.map((value) => Math.round(value * 100) / 100);
    const mix = shares.reduce((sum, share, placement) => sum + share * f[placement], 0);
    const raise = shares.reduce((sum, share, placement) => sum + share * (1 + rounded[placement]), 0);
    return {
      modifiers: rounded,
      scale: mix / raise,
      held: heldBy(held, dry[campaign]),
      dry: dry[campaign],
      mix,
    };
  });
}

function heldBy(held: number, dry: number | null): number {
  if (dry === null) return held;
  const factor = dry > 0.5 ? 0.85 : dry > 0.25 ? 0.955 : dry < 0.1 ? 1.09 : 1;
  return Math.min(1, Math.max(0.3, held * factor));
}

/** Share of the last 7 days on which a campaign spent its budget; null without a daily one. */
function dryShares({ campaigns, placements }: BidObservations): (number | null)[] {
  const spent = new Float64Array(campaigns.length * DRY_DAYS);
  for (let row = 0; row < placements.age.length; row += 1)
    if (placements.age[row] < DRY_DAYS)
      spent[placements.campaign[row] * DRY_DAYS + placements.age[row]] += placements.spend[row];
  return campaigns.map(({ budget }, campaign) => {
    if (budget === null) return null;
    const days = spent.subarray(campaign * DRY_DAYS, (campaign + 1) * DRY_DAYS);
    return days.filter((spend) => spend >= DRY_SHARE * budget).length / DRY_DAYS;
  });
}
