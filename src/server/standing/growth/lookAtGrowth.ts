import { planBudgets } from '../../../core/budgets';
import type { BudgetProposal } from '../../../core/budgets';
import { changeKey, movesOf } from '../../../core/changes';
import type { MarketLimits } from '../../../core/changes';
import { findMoney } from '../../../core/growth';
import type { GrowthPlan } from '../../../core/growth';
import type { Rule } from '../../../core/rules';
import { indexTree } from '../../../core/structure';
import type { TreeIndex } from '../../../core/structure';
import type { Day } from '../../../core/units';
import type { AccountRow } from '../../../db/queries/accounts';
import { listChangeRows } from '../../../db/queries/changes';
import { aheadOf, keptBids, roundSettings } from '../../../plans/bids';
import type { KeptBids } from '../../../plans/bids';
import { accountInfo, needAccount } from '../../accounts/accounts';
import { chooseWindow } from '../../accounts/chooseWindow';
import { loadBidFeed } from '../../bids/loadBidFeed';
import { loadBackground } from '../../build/background';
import type { Background } from '../../build/background';
import { db } from '../../context/context';
import { loadTree } from '../../field/loadTree';
import { withGoal } from '../../plans/how';
import { howOf } from '../stepWanted';
import { loadPlanMembers } from './members';
import type { Member } from './members';

/** A growth plan with everything that its moves are decided on. */
export interface GrowthLook {
  account: AccountRow;
  rule: Rule;
  plan: GrowthPlan;
  productId: number;
  limits: MarketLimits;
  index: TreeIndex;
  background: Background;
  members: Member[];
  /** Last day whose orders are in. */
  settled: Day;
  /** ACOS that is aimed at, shares. */
  range: { low: number; high: number };
  kept: KeptBids;
  /** Of campaigns that clicks tell something of: what they need and do at the bids that the range allows. */
  needs: ReadonlyMap<number, BudgetProposal>;
  /** What is in the tray or under way, by the keys of its changes. */
  pending: ReadonlySet<string>;
}

/** @param id of the rule; undefined for one that is not kept yet: it has no campaigns */
export async function lookAtGrowth(
  accountId: number,
  id: number | undefined,
  rule: Rule,
): Promise<GrowthLook> {
  const account = await needAccount(accountId);
  const plan = rule.growth!;
  const limits = account.limits;
  const how = howOf(rule);
  const [tree, feed, staged, sending, { to: settled }, background] = await Promise.all([
    loadTree(accountId),
    loadBidFeed(accountId, how),
    listChangeRows(db(), accountId, { state: 'staged' }),
    listChangeRows(db(), accountId, { state: 'sending' }),
    chooseWindow(account),
    loadBackground(account),
  ]);
  const open = [...staged, ...sending];
  const index = indexTree(withGoal({ ...tree, accountAcos: account.targetAcos }, how));
  const raised = new Map<number, number>();
  for (const { change } of open) {
    const moves = movesOf(change);
    if (moves?.what === 'budget') raised.set(moves.campaign, moves.to);
  }
  const members = id === undefined ? [] : await loadPlanMembers(accountId, id, index, settled, raised);
  const { choices } = accountInfo(account);
  const settings = roundSettings(
    { ...choices, bids: { ...choices.bids, ...how.bids } },
    limits,
    aheadOf(open),
  );
  const kept = keptBids(index, feed);
  const aim = index.aimOf(index.placeOfProduct(rule.scope.id));
  const acos = aim.acos ?? account.targetAcos;
  return {
    account,
    rule,
    plan,
    productId: rule.scope.id,
    limits,
    index,
    background,
    members,
    settled,
    range: { low: aim.low ?? acos, high: aim.high ?? acos },
    kept,
    needs: needsOf(kept, plan, members, limits, settings),
    pending: new Set(open.map(({ change }) => changeKey(change))),
  };
}

/** What the campaigns need when the money beside that for finding is theirs: by the method of budgets, at the bids that it goes with. */
function needsOf(
  kept: KeptBids,
  plan: GrowthPlan,
  members: readonly Member[],
  limits: MarketLimits,
  settings: ReturnType<typeof roundSettings>,
): ReadonlyMap<number, BudgetProposal> {
  const own = new Map(members.map((one) => [one.id, one]));
  const { proposals } = planBudgets(
    kept.prepared,
    settings,
    kept.prepared.observations.campaigns.map(({ budget }, at) => {
      const member = own.get(kept.campaignIds[at]);
      return { budget, isRunning: member?.isRunning ?? false, locked: null };
    }),
    { means: 'sum stays', sum: Math.max(0, plan.total - findMoney(plan, limits)) },
    kept.ranDry,
    limits,
  );
  return new Map(
    proposals.flatMap((one) =>
      own.has(kept.campaignIds[one.campaign]) && one.now.clicks > 0
        ? [[kept.campaignIds[one.campaign], one] as const]
        : [],
    ),
  );
}
