import { campaignPlans, raiseOf } from '../bids';
import type { BidSettings, CampaignPlan, PreparedBids } from '../bids';
import { PLACEMENTS } from '../structure';
import { DAYS_PER_MONTH } from '../units';
import { basesFor, monthUnder } from './effect';
import type { PlacementBounds } from './asks';
import type { PlacementAt, PlacementLeft, PlacementProposal } from './proposal';

const REST = PLACEMENTS.indexOf('rest');
/** A raise that moves by less is not proposed. */
const LEAST_MOVE = 0.03;

/**
 * Modifiers for every campaign, and the base bids that go with them. Linear in targets.
 * @param settings those of the bids; its `modifiers` tell which placements the market lets be set
 * @param boundsOf what else holds for a campaign; null: nothing
 */
export function proposePlacements(
  prepared: PreparedBids,
  settings: BidSettings,
  boundsOf: (campaign: number) => PlacementBounds | null = () => null,
): PlacementProposal[] {
  const { observations, factors } = prepared;
  const plans = campaignPlans(observations, factors, settings);
  const sums = campaignSums(prepared, plans);
  return observations.campaigns.map(({ modifiers, modifiersKnown = true }, campaign) => {
    const { targets, bid, aim, now } = sums[campaign];
    const shares = factors.shares(campaign);
    const raised = raiseOf(shares, modifiers);
    const free: PlacementAt[] = PLACEMENTS.map((_, placement) => ({
      from: modifiers[placement],
      to: plans[campaign].modifiers[placement],
      wanted: plans[campaign].wanted[placement],
      isSettable: settings.modifiers[placement] && modifiersKnown,
      worth: factors.against(campaign, placement, REST),
      share: shares[placement],
      cost: (1 + modifiers[placement]) / raised,
    }));
    const placements = withinBounds(free, boundsOf(campaign), bid);
    const left = modifiersKnown
      ? leftAlone(placements, targets, now.clicks, plans[campaign].isUnsure)
      : 'not known';
    const to = placements.map((one) => (left === null ? one.to : one.from));
    const bases = basesFor(placements, to);
    return {
      campaign,
      left,
      placements: placements.map((one, at) => ({ ...one, to: to[at] })),
      clicks: PLACEMENTS.reduce((sum, _, placement) => sum + factors.clicks(campaign, placement), 0),
      bases: left === null ? bases : 1,
      bid,
      targets,
      aim,
      now,
      after: left === null ? monthUnder(now, placements, to, bases) : now,
    };
  });
}

/** Whole per cent, downwards. */
const wholeDown = (share: number) => Math.max(0, Math.floor(share * 100 + 1e-9) / 100);
/** Modifiers that lack what is asked of them are not raised, and none goes beyond its caps. @param base mean base bid, micros */
function withinBounds(
  free: readonly PlacementAt[],
  bounds: PlacementBounds | null,
  base: number,
): PlacementAt[] {
  if (bounds === null) return [...free];
  const { missing, cap, bid } = bounds;
  let list = free.map((one, at): PlacementAt => {
    if (!one.isSettable) return one;
    const lacking = one.to > one.from ? missing[at] : null;
    return atMost(atMost(one, lacking === null ? null : one.from, lacking), cap, 'its highest modifier');
  });
  if (bid === null || base <= 0) return list;
  // Base bids rise as modifiers are cut, and what a modifier makes of them with them: each cut takes a whole per cent at least, so it ends.
  for (;;) {
    const bases = basesFor(
      list,
      list.map(({ to }) => to),
    );
    const most = wholeDown(bid / (base * bases) - 1);
    if (!list.some(({ isSettable, to }) => isSettable && to > most)) return list;
    list = list.map((one) => (one.isSettable ? atMost(one, most, 'its highest bid') : one));
  }
}

const atMost = (one: PlacementAt, most: number | null, held: string | null): PlacementAt =>
  most === null || one.to <= most ? one : { ...one, to: most, held };

function leftAlone(
  placements: readonly PlacementAt[],
  targets: number,
  clicks: number,
  isUnsure: boolean,
): PlacementLeft {
  if (targets === 0) return 'not running';
  if (placements.every(({ isSettable }) => !isSettable)) return 'not offered';
  if (clicks <= 0) return 'no clicks';
  if (placements.some(({ from, to }) => Math.abs((1 + to) / (1 + from) - 1) >= LEAST_MOVE)) return null;
  if (isUnsure) return 'not sure';
  return placements.some(({ held }) => held) ? 'held' : 'as wanted';
}

/** What the running targets of each campaign come to in a month. */
function campaignSums(prepared: PreparedBids, plans: readonly CampaignPlan[]) {
  const { observations, exposures, worths, kappa, paid } = prepared;
  const { targets, campaigns, scopes } = observations;
  const sums = campaigns.map(() => ({
    targets: 0,
    bid: 0,
    aim: 0,
    now: { clicks: 0, spend: 0, sales: 0 },
  }));
  const weight = new Float64Array(campaigns.length);
  targets.forEach(({ campaign, isRunning, bid, scope }, at) => {
    if (!isRunning) return;
    const sum = sums[campaign];
    const clicks = exposures.flow[at] * paid[campaign] * DAYS_PER_MONTH;
    // A target without clicks still has a bid: it counts for a little.
    const counts = clicks + 0.01;
    sum.targets += 1;
    sum.now.clicks += clicks;
    sum.now.spend += clicks * exposures.cpc[at];
    sum.now.sales += kappa * clicks * worths.rpc[at] * plans[campaign].mix;
    sum.bid += counts * bid;
    sum.aim += counts * scopes[scope].targetAcos;
    weight[campaign] += counts;
  });
  return sums.map((sum, campaign) => ({
    ...sum,
    bid: weight[campaign] > 0 ? sum.bid / weight[campaign] : 0,
    aim: weight[campaign] > 0 ? sum.aim / weight[campaign] : 0,
  }));
}
