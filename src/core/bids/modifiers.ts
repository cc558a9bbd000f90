import { smallest } from '../order';
import { dryDays } from './dryDays';
import { raiseOf } from './exposures';
import type { BidObservations, BidSettings } from './observations';
import type { PlacementFactors } from './placementFactors';

/** What is solved for a campaign beside its bids. */
export interface CampaignPlan {
  /** New raises by placement, shares. */
  modifiers: number[];
  /** Makes up in the base bids for what the modifiers raise: sum s f / sum s (1 + m). */
  scale: number;
  /** Effective bid / bid after over before: what the modifiers alone move. */
  gain: number;
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

/**
 * Modifiers 1 + m_i = f_i / min f, the minimum over placements with more than 4 % of clicks that stay fixed (over all where none does), at
 * most 25 % a round.
 */
export function campaignPlans(
  observations: BidObservations,
  factors: PlacementFactors,
  settings: BidSettings,
): CampaignPlan[] {
  const dry = dryShares(observations);
  return observations.campaigns.map(({ modifiers }, campaign) => {
    const shares = factors.shares(campaign);
    const f = shares.map((_, placement) => factors.at(campaign, placement));
    // What may not be set stays as it is, and the bid with it: raises are over that. Where all may be set, over the least of them.
    const isKnown = (placement: number) => shares[placement] > LEAST_SHARE;
    const fixed = f.filter((_, placement) => isKnown(placement) && !settings.modifiers[placement]);
    const lowest = smallest(fixed.length > 0 ? fixed : f.filter((_, placement) => isKnown(placement)));
    const next = f.map((factor, placement) => {
      const now = 1 + modifiers[placement];
      // Hardly a click there: nothing is known that would speak for another raise.
      if (!settings.modifiers[placement] || !isKnown(placement)) return modifiers[placement];
      const wanted = Math.min(1 + MOST_MODIFIER, Math.max(1, factor / lowest));
      return Math.min(now * (1 + STEP), Math.max(Math.max(1, now * (1 - STEP)), wanted)) - 1;
    });
    const rounded = next.map((value) => Math.round(value * 100) / 100);
    const mix = shares.reduce((sum, share, placement) => sum + share * f[placement], 0);
    const raise = shares.reduce((sum, share, placement) => sum + share * (1 + rounded[placement]), 0);
    return {
      modifiers: rounded,
      scale: mix / raise,
      gain: raise / raiseOf(shares, modifiers),
      dry: dry[campaign],
      mix,
    };
  });
}

/** Share of the last 7 days on which a campaign spent its budget; null without a daily one. */
function dryShares(observations: BidObservations): (number | null)[] {
  const dry = dryDays(observations, DRY_DAYS);
  return observations.campaigns.map(({ budget }, campaign) => {
    if (budget === null) return null;
    const days = dry.subarray(campaign * DRY_DAYS, (campaign + 1) * DRY_DAYS);
    return days.reduce((sum, one) => sum + one, 0) / DRY_DAYS;
  });
}
