import { largest, smallest } from '../order';
import { dryDays } from './dryDays';
import { raiseOf } from './exposures';
import type { BidObservations, AimSettings } from './observations';
import type { PlacementFactors } from './placementFactors';

/** What is solved for a campaign beside its bids. */
export interface CampaignPlan {
  /** New raises by placement, shares; and what they would be without the most that a round moves. */
  modifiers: number[];
  wanted: number[];
  /** Whether a raise was left out because it is not sure that the placement is the better one. */
  isUnsure: boolean;
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
/** Bids at a placement move by a quarter in a round at most. */
const STEP_LOG = Math.log(1.25);
/** With fewer clicks of its own a campaign is raised only where the whole account's clicks speak for it. */
const LEAST_CLICKS = 200;
const DRY_DAYS = 7;

/**
 * Modifiers 1 + m_i = f_i / min f, the minimum over placements with more than 4 % of clicks that stay fixed (over all where none does), at
 * most 25 % a round, all by the same share of their way. Not raised where it is not sure that the placement is the better one.
 */
export function campaignPlans(
  observations: BidObservations,
  factors: PlacementFactors,
  settings: AimSettings,
): CampaignPlan[] {
  const dry = dryShares(observations);
  return observations.campaigns.map(({ modifiers }, campaign) => {
    const shares = factors.shares(campaign);
    const f = shares.map((_, placement) => factors.at(campaign, placement));
    // What may not be set stays as it is, and the bid with it: raises are over that. Where all may be set, over the least of them.
    const isKnown = (placement: number) => shares[placement] > LEAST_SHARE;
    const fixed = f.filter((_, placement) => isKnown(placement) && !settings.modifiers[placement]);
    const lowest = smallest(fixed.length > 0 ? fixed : f.filter((_, placement) => isKnown(placement)));
    const other = f.indexOf(lowest);
    let isUnsure = false;
    const wanted = f.map((factor, placement) => {
      const now = 1 + modifiers[placement];
      // Hardly a click there: nothing is known that would speak for another raise.
      if (!settings.modifiers[placement] || !isKnown(placement)) return modifiers[placement];
      const worth = Math.min(1 + MOST_MODIFIER, Math.max(1, factor / lowest));
      const isSure = worth <= now || isSurelyBetter(factors, campaign, placement, other);
      if (!isSure) isUnsure = true;
      return (isSure ? worth : now) - 1;
    });
    // All go the same share of their way: what one is worth against another moves the right way from the first round on.
    const ways = wanted.map((value, placement) => (1 + value) / (1 + modifiers[placement]));
    const part = partOfTheWay(ways, shares);
    const rounded = ways.map((way, placement) => {
      const next = (1 + modifiers[placement]) * way ** part - 1;
      return Math.max(0, Math.round(next * 100) / 100);
    });
    const mix = shares.reduce((sum, share, placement) => sum + share * f[placement], 0);
    const raise = shares.reduce((sum, share, placement) => sum + share * (1 + rounded[placement]), 0);
    return {
      modifiers: rounded,
      wanted,
      isUnsure,
      scale: mix / raise,
      gain: raise / raiseOf(shares, modifiers),
      dry: observations.dryShare?.[campaign] ?? dry[campaign],
      mix,
    };
  });
}

/**
 * How much of the way modifiers go in a round: as far as no effective bid moves by more than a quarter, base bids making up for what the
 * modifiers raise.
 * @param ways raise after / before at each placement @param shares of clicks
 */
function partOfTheWay(ways: readonly number[], shares: readonly number[]): number {
  const longest = (part: number) => {
    const moved = ways.map((way) => way ** part);
    const mean = moved.reduce((sum, one, at) => sum + shares[at] * one, 0);
    return largest(moved.map((one) => Math.abs(Math.log(one / mean))));
  };
  if (longest(1) <= STEP_LOG) return 1;
  let [low, high] = [0, 1];
  for (let step = 0; step < 12; step += 1) {
    const middle = (low + high) / 2;
    if (longest(middle) > STEP_LOG) high = middle;
    else low = middle;
  }
  return low;
}

/** Whether a campaign's clicks are worth more at a placement than at another, as far as 80 % go. */
function isSurelyBetter(
  factors: PlacementFactors,
  campaign: number,
  placement: number,
  other: number,
): boolean {
  const clicks = factors.shares(campaign).reduce((sum, _, one) => sum + factors.clicks(campaign, one), 0);
  return (
    factors.against(campaign, placement, other).low > 1 &&
    (clicks >= LEAST_CLICKS || factors.ofAccount(placement, other).low > 1)
  );
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
