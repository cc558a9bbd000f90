import type { PreparedBids } from './prepareBids';
import { monthAt } from './proposal';
import type { BidProposal, Month } from './proposal';
import type { ProposalColumns } from './proposalColumns';

/** However far an edit goes beyond what is proposed, it frees no more than so many times as much. */
const MOST_PART = 2;

/**
 * What a campaign's budget makes of its clicks once all proposals are made, beside what the bids alone make of them: it pays for min(1, B / D)
 * of them, D what they cost. A campaign that runs dry keeps its clicks when they get cheaper, and loses others when some get dearer. That
 * is counted with the proposals that free the money, or take it, each by as much as it does.
 */
export function shareFreed({ observations, exposures, paid }: PreparedBids, columns: ProposalColumns): void {
  const { targets, campaigns } = observations;
  const { nowSpend, afterClicks, afterSpend, afterSales } = columns;
  const [demand, cuts, raises, clicks, spend, sales] = [0, 0, 0, 0, 0, 0].map(
    () => new Float64Array(campaigns.length),
  );
  for (let target = 0; target < targets.length; target += 1) {
    const { campaign } = targets[target];
    const share = nowSpend[target] > 0 ? afterSpend[target] / nowSpend[target] : 1;
    demand[campaign] += exposures.flow[target] * exposures.cpc[target] * share;
    cuts[campaign] += Math.max(0, nowSpend[target] - afterSpend[target]);
    raises[campaign] += Math.max(0, afterSpend[target] - nowSpend[target]);
    clicks[campaign] += afterClicks[target];
    spend[campaign] += afterSpend[target];
    sales[campaign] += afterSales[target];
  }
  const lifts = campaigns.map(({ budget }, campaign) =>
    budget === null || paid[campaign] === 0 || demand[campaign] <= 0
      ? 1
      : Math.min(1, budget / demand[campaign]) / paid[campaign],
  );
  for (let target = 0; target < targets.length; target += 1) {
    const { campaign } = targets[target];
    const lift = lifts[campaign];
    const moved = nowSpend[target] - afterSpend[target];
    const all = lift > 1 ? cuts[campaign] : -raises[campaign];
    if (lift === 1 || all === 0 || moved / all <= 0) continue;
    const part = ((lift - 1) * moved) / all;
    afterClicks[target] += columns.freedClicks[target] = clicks[campaign] * part;
    afterSpend[target] += columns.freedSpend[target] = spend[campaign] * part;
    afterSales[target] += columns.freedSales[target] = sales[campaign] * part;
  }
}

/** What a month comes to at another bid than the proposed one, with what of the budget that frees or takes. */
export function monthAtBid(
  { now, from, to, freed }: Pick<BidProposal, 'now' | 'from' | 'to' | 'freed'>,
  next: number,
): Month {
  const plain = monthAt(now, from > 0 ? next / from : 1);
  const planned = from > 0 ? now.spend - monthAt(now, to / from).spend : 0;
  if (freed.spend === 0 && freed.sales === 0) return plain;
  const part = planned === 0 ? 0 : (now.spend - plain.spend) / planned;
  return added(plain, scaled(freed, Math.min(MOST_PART, Math.max(0, part))));
}

const scaled = ({ clicks, spend, sales }: Month, by: number): Month => ({
  clicks: clicks * by,
  spend: spend * by,
  sales: sales * by,
});

const added = (a: Month, b: Month): Month => ({
  clicks: a.clicks + b.clicks,
  spend: a.spend + b.spend,
  sales: a.sales + b.sales,
});
