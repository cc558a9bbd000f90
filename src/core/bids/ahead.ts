import type { Micros } from '../units';
import { CPC_ELASTICITY, paidShares, raiseOf } from './exposures';
import type { BidCampaign } from './observations';
import type { PreparedBids } from './prepareBids';

/** What is decided already and not sent yet, by index: bids and modifiers that the next ones start from, and budgets. */
export interface Ahead {
  bids: ReadonlyMap<number, Micros>;
  modifiers: ReadonlyMap<number, BidCampaign['modifiers']>;
  budgets: ReadonlyMap<number, Micros>;
  /** Spend and sales of a month under schedules that are to come, over what they are now. */
  schedules: ReadonlyMap<number, readonly [spend: number, sales: number]>;
}

/**
 * The same figures with bids and modifiers as they are going to stand. Clicks and costs go with the effective bid (clicks ~ bid, cost per
 * click ~ bid to the 0.8), so that what only moves from a bid into a modifier changes nothing else.
 */
export function withAhead(
  prepared: PreparedBids,
  { bids, modifiers, budgets, schedules }: Ahead,
): PreparedBids {
  if (bids.size + modifiers.size + budgets.size + schedules.size === 0) return prepared;
  const { observations, factors, exposures } = prepared;
  const campaigns = observations.campaigns.map((one, at) => ({
    ...one,
    modifiers: modifiers.get(at) ?? one.modifiers,
    budget: budgets.get(at) ?? one.budget,
  }));
  const raises = exposures.raises.map((raise, at) =>
    modifiers.has(at) ? raiseOf(factors.shares(at), campaigns[at].modifiers) : raise,
  );
  const [flow, cpc] = [exposures.flow.slice(), exposures.cpc.slice()];
  const targets = observations.targets.map((target, at) => {
    const bid = bids.get(at) ?? target.bid;
    const effective = (bid * raises[target.campaign]) / (target.bid * exposures.raises[target.campaign]);
    if (target.bid > 0 && effective !== 1) {
      flow[at] *= effective;
      cpc[at] *= effective ** CPC_ELASTICITY;
    }
    const scheduled = schedules.get(target.campaign);
    if (scheduled) {
      const [spend, sales] = scheduled;
      flow[at] *= sales;
      // Hours that sell better bring more of a click: what is left is what a sale costs.
      cpc[at] *= sales > 0 ? spend / sales : 1;
    }
    return bid === target.bid ? target : { ...target, bid };
  });
  return {
    ...prepared,
    observations: { ...observations, campaigns, targets },
    exposures: { ...exposures, raises, flow, cpc },
    paid: paidShares({ targets, campaigns }, { flow, cpc }),
  };
}
