import type { BidObservations } from './observations';

/** A day on which so much of the budget was spent ran dry. */
const DRY_SHARE = 0.97;

/** 1 where a campaign spent its daily budget, by campaign and age, for the youngest `days`. */
export function dryDays({ campaigns, placements }: BidObservations, days: number): Uint8Array {
  const spent = new Float64Array(campaigns.length * days);
  for (let row = 0; row < placements.age.length; row += 1)
    if (placements.age[row] < days)
      spent[placements.campaign[row] * days + placements.age[row]] += placements.spend[row];
  const dry = new Uint8Array(spent.length);
  campaigns.forEach(({ budget }, campaign) => {
    if (budget === null) return;
    for (let at = campaign * days; at < (campaign + 1) * days; at += 1)
      dry[at] = spent[at] >= DRY_SHARE * budget ? 1 : 0;
  });
  return dry;
}
