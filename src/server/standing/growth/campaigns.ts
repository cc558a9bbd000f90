import type { GrowthCampaignsRequest, GrowthInfo } from '../../../contract/growth';
import type { NewChange } from '../../../contract/changes';
import { MowingError } from '../../../contract/mowingError';
import type { GrowthPlan } from '../../../core/growth';
import { indexTree } from '../../../core/structure';
import { formatMoney } from '../../../core/units';
import { insertGrowthStep, listMembers } from '../../../db/queries/growth';
import type { MemberRow } from '../../../db/queries/growth';
import { listRules } from '../../../db/queries/rules';
import { needAccount } from '../../accounts/accounts';
import { todayOf } from '../../accounts/today';
import { stageIn } from '../../changes/stageChanges';
import { db } from '../../context/context';
import { loadTree } from '../../field/loadTree';
import { recorded } from '../../trail';
import type { Caller } from '../../trail';
import { noRule } from '../rules';
import { loadGrowth } from './loadGrowth';

/**
 * Takes campaigns into a plan, moves them to another stage, or gives them back: what one came with is put to the tray as its budget again.
 * @throws MowingError for a campaign of another product or plan, one without a daily budget, or more campaigns than the total has least budgets for
 */
export async function putCampaigns(
  caller: Caller,
  { account: accountId, id, campaigns }: GrowthCampaignsRequest,
): Promise<GrowthInfo> {
  const account = await needAccount(accountId);
  const [tree, rules] = await Promise.all([
    loadTree(accountId, { targets: 'none' }),
    listRules(db(), accountId),
  ]);
  const index = indexTree(tree);
  const rule = rules.find((one) => one.id === id);
  if (!rule?.rule.growth) throw noRule(id);
  const plan: GrowthPlan = rule.rule.growth;
  await recorded(caller, accountId, async (tx, note) => {
    // Two plans at once: the second finds what the first has taken.
    await tx`select 1 from mowing.rule where account_id = ${accountId} for update`;
    const members = await listMembers(tx, accountId);
    const own = new Map(
      members.flatMap((one) => (one.ruleId === id ? [[one.campaignId, one] as const] : [])),
    );
    const wrong = campaigns.flatMap(({ campaignId, stage }) => {
      const node = index.campaigns.get(campaignId);
      if (!node) return [`The account has no campaign ${campaignId}.`];
      if (stage === null) return own.has(campaignId) ? [] : [`“${node.name}” is not in this plan.`];
      if (own.has(campaignId)) return [];
      if (members.some((one) => one.campaignId === campaignId)) return [`“${node.name}” is in another plan.`];
      if (index.productOfCampaign.get(campaignId) !== rule.rule.scope.id)
        return [`“${node.name}” advertises another product, or several.`];
      return node.budgetKind === 'daily' ? [] : [`“${node.name}” has no daily budget.`];
    });
    const added = campaigns.filter(({ campaignId, stage }) => stage !== null && !own.has(campaignId)).length;
    const { minBudget } = account.limits;
    if (plan.total < minBudget * (own.size + added))
      wrong.push(
        `${formatMoney(plan.total)} a day are not enough for ${own.size + added} campaigns: each needs ${formatMoney(minBudget)}.`,
      );
    if (wrong.length > 0) throw new MowingError('bad-request', `${wrong.join(' ')} Nothing was changed.`);
    const back: NewChange[] = [];
    for (const { campaignId, stage } of campaigns) {
      const before = own.get(campaignId);
      const node = index.campaigns.get(campaignId)!;
      await insertGrowthStep(tx, accountId, {
        ruleId: id,
        campaignId,
        stage,
        day: todayOf(account),
        isMade: before?.isMade ?? false,
        part: before?.part ?? null,
        budget: before ? before.budget : node.budget,
        night: null,
        reason: stage === null ? 'Given back by hand.' : before ? 'Moved by hand.' : 'Taken in by hand.',
      });
      const given = stage === null ? budgetBack(before!, node.budget) : null;
      if (given) back.push(given);
    }
    await stageIn(tx, accountId, back);
    note({ what: 'campaigns of growth plan', subject: `rule ${id}`, to: { campaigns } });
  });
  return loadGrowth(accountId, id);
}

/** The budget that a campaign came with; one that the plan made keeps what it has. */
function budgetBack({ campaignId, budget }: MemberRow, now: number | null): NewChange | null {
  if (budget === null || budget === now) return null;
  return {
    change: { kind: 'set-budget', campaignId, from: now, to: budget },
    reason: 'Given back by its growth plan: the budget that it came with.',
    figures: { step: 'growth' },
    effect: { spend: 0, sales: 0 },
  };
}
