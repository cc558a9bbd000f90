import type { LensTable } from '../../core/lenses';
import { planned } from '../campaigns';
import type { KeptBids } from '../bids';
import type { BudgetRow, BudgetSettings, BudgetsPlan } from './types';

/** Half the width of an 80 % interval, in standard deviations. */
const Z80 = 1.2816;

/** What is proposed for the budgets of all campaigns that have bids. Until it is said what the money is for, only what ran dry is told. */
export function budgetProposals(bids: KeptBids, { settings, locks }: BudgetSettings): BudgetsPlan {
  const own = bids.budgets(settings, new Map(locks));
  const usual = { means: 'sum stays' as const, month: null, over: 1, byBids: settings.money?.byBids ?? [] };
  const { proposals, total, share } = own ?? bids.budgets({ ...settings, money: usual }, new Map())!;
  const rows = proposals.map(({ campaign, ...proposal }): BudgetRow => {
    const campaignId = bids.campaignIds[campaign];
    const node = bids.index.campaigns.get(campaignId);
    const stands = node?.budgetKind === 'daily' ? node.budget : null;
    if (own) return { ...proposal, campaignId, stands };
    return {
      ...proposal,
      campaignId,
      stands,
      to: proposal.from,
      after: proposal.now,
      left: proposal.left ?? 'as needed',
    };
  });
  const gain = { spend: 0, sales: 0, low: 0, high: 0 };
  let variance = 0;
  for (const { now, after, missed } of rows) {
    const sales = after.sales - now.sales;
    gain.spend += after.spend - now.spend;
    gain.sales += sales;
    variance += (sales * (missed.cv || UNKNOWN_CV)) ** 2;
  }
  const width = Z80 * Math.sqrt(variance);
  return {
    rows,
    total: own ? total : { ...total, after: total.before },
    gain: { ...gain, low: gain.sales - width, high: gain.sales + width },
    share,
    isAsked: own !== null,
  };
}

/** The same by the rows of a table of campaigns. */
export function budgetRows({ rows, ...rest }: BudgetsPlan, { campaignId }: LensTable): BudgetsPlan {
  const rowOf = new Map(rows.map((one) => [one.campaignId, one]));
  return { ...rest, rows: Array.from(campaignId, (id) => planned(rowOf.get(id))) };
}

/** Of what a campaign that never ran dry would do with another budget as little is known as of one that just did. */
const UNKNOWN_CV = 0.5;
