import { strongTarget } from '../../core/budgets';
import type { StrongTarget } from '../../core/budgets';
import type { KeptBids } from '../bids';

/** Who takes whose money in a campaign, and the target that deserves one of its own. Micros a day. */
export interface SpendShares {
  /** The largest first. */
  targets: { id: number; name: string; spend: number; acos: number | null }[];
  /** What the others take together, and how many they are. */
  others: { spend: number; count: number };
  strong: (StrongTarget & { name: string; bid: number }) | null;
}

const NAMED = 5;

/** What each target of a campaign takes of its money, with money enough. */
export function spendShares(
  { index: { targets: nodes, campaigns }, prepared, campaignIds, targetIds, ranDry }: KeptBids,
  campaignId: number,
  minBudget: number,
): SpendShares | null {
  const campaign = campaignIds.indexOf(campaignId);
  const node = campaigns.get(campaignId);
  if (campaign < 0 || !node) return null;
  const { observations, exposures, worths } = prepared;
  const own = observations.targets.flatMap((target, at) => {
    if (target.campaign !== campaign || !target.isRunning) return [];
    const known = nodes.get(targetIds[at])!;
    return [
      {
        id: known.id,
        name: known.expression,
        bid: target.bid,
        canMove: known.kind === 'item' || known.match === 'exact',
        orders: exposures.orders[at],
        spend: exposures.flow[at] * exposures.cpc[at],
        rpc: worths.rpc[at],
        cpc: exposures.cpc[at],
        targetAcos: observations.scopes[target.scope].targetAcos,
      },
    ];
  });
  const bySpend = own.filter(({ spend }) => spend > 0).sort((a, b) => b.spend - a.spend);
  const { dry, days } = ranDry.campaigns[campaign];
  const budget = node.budgetKind === 'daily' ? node.budget : null;
  const strong =
    budget === null ? null : strongTarget(own, days > 0 ? dry.length / days : 0, budget, minBudget);
  const rest = bySpend.slice(NAMED);
  const named = strong && own.find(({ id }) => id === strong.id);
  return {
    targets: bySpend
      .slice(0, NAMED)
      .map(({ id, name, spend, rpc, cpc }) => ({ id, name, spend, acos: rpc > 0 ? cpc / rpc : null })),
    others: { spend: rest.reduce((sum, { spend }) => sum + spend, 0), count: rest.length },
    strong: strong && named ? { ...strong, name: named.name, bid: named.bid } : null,
  };
}
