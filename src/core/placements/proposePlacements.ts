import { campaignPlans, raiseOf } from '../bids';
import type { BidSettings, CampaignPlan, PreparedBids } from '../bids';
import { PLACEMENTS } from '../structure';
import { DAYS_PER_MONTH } from '../units';
import { basesFor, monthUnder } from './effect';
import type { PlacementAt, PlacementLeft, PlacementProposal } from './proposal';

const REST = PLACEMENTS.indexOf('rest');
/** A raise that moves by less is not proposed. */
const LEAST_MOVE = 0.03;

/**
 * Modifiers for every campaign, and the base bids that go with them. Linear in targets.
 * @param settings those of the bids; its `modifiers` tell which placements the market lets be set
 */
export function proposePlacements(prepared: PreparedBids, settings: BidSettings): PlacementProposal[] {
  const { observations, factors } = prepared;
  const plans = campaignPlans(observations, factors, settings);
  const sums = campaignSums(prepared, plans);
  return observations.campaigns.map(({ modifiers }, campaign) => {
    const { targets, bid, aim, now } = sums[campaign];
    const shares = factors.shares(campaign);
    const raised = raiseOf(shares, modifiers);
    const placements: PlacementAt[] = PLACEMENTS.map((_, placement) => ({
      from: modifiers[placement],
      to: plans[campaign].modifiers[placement],
      wanted: plans[campaign].wanted[placement],
      isSettable: settings.modifiers[placement],
      worth: factors.against(campaign, placement, REST),
      share: shares[placement],
      cost: (1 + modifiers[placement]) / raised,
    }));
    const left = leftAlone(placements, targets, now.clicks, plans[campaign].isUnsure);
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
  return isUnsure ? 'not sure' : 'as wanted';
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
