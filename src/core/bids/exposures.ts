import { dryDays } from './dryDays';
import { HISTORY_DAYS, shareAt } from './observations';
import type { BidObservations } from './observations';
import type { PlacementFactors } from './placementFactors';
import { largest } from '../order';

/** What is known of each target from its own days, by index. Money in micros. */
export interface Exposures {
  /** Clicks weighted by the share of their orders that is visible and by what clicks of that day were worth. */
  exposure: Float64Array;
  clicks: Float64Array;
  orders: Float64Array;
  sales: Float64Array;
  /** Of these what came since each target's last change. */
  since: { exposure: Float64Array; clicks: Float64Array; orders: Float64Array; sales: Float64Array };
  /** Of these what was there 28 days ago: what the days since then are told by. */
  older: { exposure: Float64Array; orders: Float64Array; sales: Float64Array };
  /** Mean daily clicks of 28 days, as the present effective bid would bring them with budget left. */
  flow: Float64Array;
  /** Cost per click at the present bid; what was paid where no bid is known. */
  cpc: Float64Array;
  /** Effective bid / bid of each campaign. */
  raises: Float64Array;
}

export const FLOW_DAYS = 28;
/** Days that the estimates of the days before them are held against. */
export const RECENT_DAYS = 28;
const LEAST_WET_DAYS = 4;
const DRY_FLOW = 1.25;
/** Costs half as old count twice as much. */
const COST_HALF_LIFE = 14;
/** Clicks ~ bid, cost per click ~ bid to the 0.8. */
export const CPC_ELASTICITY = 0.8;
/** Clicks at the campaign's ratio that are added to a target's own, and at the account's to a campaign's. */
const [OWN_CLICKS, CAMPAIGN_CLICKS] = [10, 30];
/** Cost per click over effective bid where nothing is known. */
const BLANK_RATIO = 0.7;

/** Effective bid over bid: the click-weighted raise by placement. */
export function raiseOf(shares: number[], modifiers: readonly number[]): number {
  return shares.reduce((sum, share, placement) => sum + share * (1 + modifiers[placement]), 0);
}

/** Raises of campaigns by age, where their modifiers moved; the others have none. */
export function raisesByAge(
  { campaigns, earlierModifiers = [] }: BidObservations,
  factors: PlacementFactors,
  now: Float64Array,
): (Float64Array | undefined)[] {
  const byAge: (Float64Array | undefined)[] = new Array(campaigns.length).fill(undefined);
  // From the newest to the oldest: each holds on all days older than its age until the next one says otherwise.
  for (const { campaign, age, modifiers } of [...earlierModifiers].sort((a, b) => a.age - b.age)) {
    const list = (byAge[campaign] ??= new Float64Array(HISTORY_DAYS).fill(now[campaign]));
    list.fill(raiseOf(factors.shares(campaign), modifiers), age + 1);
  }
  return byAge;
}

/** Days by which a campaign's clicks are taken to a daily flow, and how much that is short of what was there to be had. */
interface FlowDays {
  days: number;
  factor: number;
  countsDry: boolean;
}

/**
 * On a day without budget left clicks were missed: the flow is from the others. With under four of them it is from all, and a quarter more.
 * Where it is known how long each day was open, it is from all days, each for as much as it was.
 */
function flowDays(observations: BidObservations, dry: Uint8Array, days: number): FlowDays[] {
  const { openDays } = observations;
  return observations.campaigns.map((_, campaign) => {
    const open = openDays?.[campaign] ?? 0;
    if (open > 0) return { days: open, factor: 1, countsDry: true };
    let wet = 0;
    for (let age = 0; age < days; age += 1) wet += 1 - dry[campaign * FLOW_DAYS + age];
    return wet < Math.min(LEAST_WET_DAYS, days)
      ? { days, factor: DRY_FLOW, countsDry: true }
      : { days: wet, factor: 1, countsDry: false };
  });
}

/** Sums the days of every target. Days before a bid change keep clicks and orders; their cost is moved to the present bid. */
export function exposuresOf(observations: BidObservations, factors: PlacementFactors): Exposures {
  const { targets, campaigns, completion } = observations;
  const { target, age, clicks, spend, orders, sales, bid } = observations.days;
  const size = targets.length;
  const column = () => new Float64Array(size);
  const sums = { exposure: column(), clicks: column(), orders: column(), sales: column(), flow: column() };
  const since = { exposure: column(), clicks: column(), orders: column(), sales: column() };
  const older = { exposure: column(), orders: column(), sales: column() };
  const sinceAge = Int32Array.from(targets, ({ change }) => change?.daysAgo ?? 0);
  const [costClicks, costRatio] = [column(), column()];
  const raises = Float64Array.from(campaigns, ({ modifiers }, at) => raiseOf(factors.shares(at), modifiers));
  const byAge = raisesByAge(observations, factors, raises);
  const dry = dryDays(observations, FLOW_DAYS);
  const flows = flowDays(observations, dry, Math.min(FLOW_DAYS, largest(age) + 1));
  // There are thirty days to a target: what depends on the age or the target alone is worked out before.
  const [share, weight] = [new Float64Array(HISTORY_DAYS), new Float64Array(HISTORY_DAYS)];
  for (let at = 0; at < HISTORY_DAYS; at += 1) {
    share[at] = shareAt(completion, at);
    weight[at] = 0.5 ** (at / COST_HALF_LIFE);
  }
  const campaignOf = new Int32Array(size);
  const [bidOf, effective] = [column(), column()];
  for (let at = 0; at < size; at += 1) {
    campaignOf[at] = targets[at].campaign;
    bidOf[at] = targets[at].bid;
    // Where no bid is known there is no ratio to one: the plain cost is summed.
    effective[at] = targets[at].bid > 0 ? targets[at].bid * raises[targets[at].campaign] : 1;
  }
  for (let row = 0; row < age.length; row += 1) {
    const old = age[row];
    if (old >= HISTORY_DAYS) continue;
    const at = target[row];
    const campaign = campaignOf[at];
    const came = clicks[row];
    const exposed = came * share[old] * factors.onDay(campaign, old);
    sums.exposure[at] += exposed;
    if (old < sinceAge[at]) {
      since.exposure[at] += exposed;
      since.clicks[at] += came;
      since.orders[at] += orders[row];
      since.sales[at] += sales[row];
    }
    if (old >= RECENT_DAYS) {
      older.exposure[at] += exposed;
      older.orders[at] += orders[row];
      older.sales[at] += sales[row];
    }
    sums.clicks[at] += came;
    sums.orders[at] += orders[row];
    sums.sales[at] += sales[row];
    const raised = byAge[campaign];
    const bidMoved = bid[row] > 0 && bidOf[at] > 0 ? bidOf[at] / bid[row] : 1;
    const moved = raised === undefined ? bidMoved : (bidMoved * raises[campaign]) / raised[old];
    if (old < FLOW_DAYS) {
      const { days, factor, countsDry } = flows[campaign];
      const counts = countsDry || dry[campaign * FLOW_DAYS + old] === 0;
      if (counts) sums.flow[at] += (came / days) * factor * moved;
    }
    if (came === 0) continue;
    const cost = moved === 1 ? spend[row] : spend[row] * moved ** CPC_ELASTICITY;
    costClicks[at] += weight[old] * came;
    costRatio[at] += (weight[old] * cost) / effective[at];
  }
  return { ...sums, since, older, raises, cpc: costsPerClick(observations, raises, costClicks, costRatio) };
}

/**
 * Share of its clicks that each campaign's budget pays for at present bids, min(1, B / sum flow x cpc): what a month brings now is the flow times
 * this.
 */
export function paidShares(
  { targets, campaigns }: Pick<BidObservations, 'targets' | 'campaigns'>,
  { flow, cpc }: Pick<Exposures, 'flow' | 'cpc'>,
): Float64Array {
  const demand = new Float64Array(campaigns.length);
  for (let at = 0; at < targets.length; at += 1) demand[targets[at].campaign] += flow[at] * cpc[at];
  return demand.map((spend, at) => Math.min(1, (campaigns[at].budget ?? Infinity) / Math.max(1, spend)));
}

function costsPerClick(
  { targets, campaigns }: BidObservations,
  raises: Float64Array,
  clicks: Float64Array,
  ratios: Float64Array,
): Float64Array {
  const [byClicks, byRatio] = [new Float64Array(campaigns.length), new Float64Array(campaigns.length)];
  targets.forEach(({ campaign, bid }, at) => {
    if (bid <= 0) return;
    byClicks[campaign] += clicks[at];
    byRatio[campaign] += ratios[at];
  });
  const total = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0);
  const account = (total(byRatio) + CAMPAIGN_CLICKS * BLANK_RATIO) / (total(byClicks) + CAMPAIGN_CLICKS);
  const usual = byRatio.map(
    (ratio, at) => (ratio + CAMPAIGN_CLICKS * account) / (byClicks[at] + CAMPAIGN_CLICKS),
  );
  return ratios.map((own, at) => {
    const { campaign, bid } = targets[at];
    if (bid <= 0) return clicks[at] > 0 ? own / clicks[at] : 0;
    return ((own + OWN_CLICKS * usual[campaign]) / (clicks[at] + OWN_CLICKS)) * bid * raises[campaign];
  });
}
