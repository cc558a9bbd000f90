import { NO_SUMS } from '../../../core/measures';
import type { Sums } from '../../../core/measures';
import { missingFor, proposePlacements } from '../../../core/placements';
import type { PlacementAsks, PlacementBounds } from '../../../core/placements';
import { PLACEMENTS } from '../../../core/structure';
import { preparedTonight } from './prepared';
import { defaultBid } from '../../observe';
import type { PlayedMarket } from '../../playedMarket';
import { placesOf, settledDays } from '../seen';
import { NO_FIGURES } from './nightMove';
import type { NightWork } from './nightMove';
import { aimedAt, settingsOfRule } from './settings';

/** Modifiers of campaigns, and the base bids that give way for them. */
export const placementNight: NightWork = (rule, market, memory) => {
  const { books, scenario } = market;
  const { prepared } = preparedTonight(market, memory);
  const offered = scenario.options.modifiers;
  const settings = {
    ...settingsOfRule(rule, market),
    modifiers: PLACEMENTS.map((one) => offered.includes(one)) as [boolean, boolean, boolean],
  };
  const bounds = rule.placements && boundsOf(market, rule.placements);
  const campaigns = placesOf(books.campaigns);
  const groups = new Map(books.adGroups.map(({ id, campaignId }) => [id, campaigns.get(campaignId)! - 1]));
  return proposePlacements(aimedAt(prepared, rule.target), settings, bounds ?? undefined)
    .filter(({ left }) => left === null)
    .sort((a, b) => b.after.sales - b.now.sales - (a.after.sales - a.now.sales))
    .map(({ campaign, placements, bases, now, after }) => ({
      figures: NO_FIGURES,
      spend: after.spend - now.spend,
      make: () => {
        PLACEMENTS.forEach((one, at) => (books.campaigns[campaign].modifiers[one] = placements[at].to));
        const { minBid, maxBid, bidStep } = scenario.limits;
        for (const target of books.targets) {
          if (groups.get(target.adGroupId) !== campaign || target.state !== 'enabled') continue;
          const bid = (target.bid ?? defaultBid(market, target.adGroupId)) * bases;
          target.bid = Math.min(maxBid, Math.max(minBid, Math.round(bid / bidStep) * bidStep));
        }
      },
    }));
};

/** What is asked of placements, held against their settled days. */
function boundsOf(market: PlayedMarket, asks: PlacementAsks): (campaign: number) => PlacementBounds {
  const { books, days, today } = market;
  const { from, to } = settledDays(market, asks.days);
  const campaignOf = new Map(books.adGroups.map(({ id, campaignId }) => [id, campaignId]));
  const groupOf = new Map(books.targets.map(({ id, adGroupId }) => [id, adGroupId]));
  const sums = new Map<string, Sums>();
  const at = (targetId: string, placement: string): Sums => {
    const key = `${campaignOf.get(groupOf.get(targetId)!)} ${placement}`;
    const known = sums.get(key) ?? { ...NO_SUMS };
    sums.set(key, known);
    return known;
  };
  for (const { day, targets, late } of days) {
    if (day < from || day > to) continue;
    for (const { targetId, placement, ...figures } of targets) {
      const sum = at(targetId, placement);
      for (const key of Object.keys(NO_SUMS) as (keyof Sums)[]) sum[key] += figures[key];
    }
    for (const { targetId, placement, arrives, units, sales } of late) {
      if (arrives >= today) continue;
      const sum = at(targetId, placement);
      sum.orders += 1;
      sum.units += units;
      sum.sales += sales;
    }
  }
  return (campaign) => ({
    missing: PLACEMENTS.map((placement) =>
      missingFor(sums.get(`${books.campaigns[campaign].id} ${placement}`) ?? NO_SUMS, asks),
    ),
    cap: asks.cap,
    bid: asks.bid,
  });
}
