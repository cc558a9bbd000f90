import type { GrowthCampaign, Stage } from '../../../core/growth';
import { partOf } from '../../../core/build';
import type { PartName } from '../../../core/build';
import type { TreeIndex } from '../../../core/structure';
import { addDays, daysIn } from '../../../core/units';
import type { Day } from '../../../core/units';
import { listCampaignDays, listMembers } from '../../../db/queries/growth';
import type { CampaignDay, MemberRow } from '../../../db/queries/growth';
import { db } from '../../context/context';

/** Days that a campaign is judged by, at most. */
export const JUDGED_DAYS = 28;

/** A campaign of a growth plan with what is known of it. */
export interface Member extends Omit<GrowthCampaign, 'need'> {
  row: MemberRow;
  /** Where its terms stand; null while none is made. */
  adGroupId: number | null;
  /** What its targets bid on. */
  parts: ReadonlySet<PartName>;
}

/** The campaigns of a plan. @param settled last day whose orders are in @param raised budgets that are in the tray or under way, by campaign */
export async function loadPlanMembers(
  accountId: number,
  ruleId: number,
  index: TreeIndex,
  settled: Day,
  raised: ReadonlyMap<number, number>,
): Promise<Member[]> {
  const rows = await listMembers(db(), accountId, ruleId);
  const from = addDays(settled, 1 - JUDGED_DAYS);
  const days = await listCampaignDays(
    db(),
    accountId,
    rows.map(({ campaignId }) => campaignId),
    from,
  );
  return rows.flatMap((row) => memberOf(row, index, days, settled, from, raised) ?? []);
}

function memberOf(
  row: MemberRow,
  index: TreeIndex,
  days: readonly CampaignDay[],
  settled: Day,
  from: Day,
  raised: ReadonlyMap<number, number>,
): Member | null {
  const node = index.campaigns.get(row.campaignId);
  if (!node) return null;
  const adGroups = index.tree.adGroups.filter(
    ({ campaignId, state }) => campaignId === node.id && state !== 'archived',
  );
  const ids = new Set(adGroups.map(({ id }) => id));
  const targets = index.tree.targets.filter(
    ({ adGroupId, state }) => ids.has(adGroupId) && state !== 'archived',
  );
  const parts = new Set(targets.flatMap((target) => partOf(target, false) ?? []));
  if (row.part !== null) parts.add(row.part as PartName);
  const began = row.since > from ? row.since : from;
  const own = days.filter(({ campaignId, day }) => campaignId === node.id && day >= began && day <= settled);
  const sum = (key: 'spend' | 'orders' | 'sales') => own.reduce((all, one) => all + one[key], 0);
  return {
    row,
    id: node.id,
    name: node.name,
    stage: row.stage,
    budget: Math.max(node.budget ?? 0, raised.get(node.id) ?? 0),
    isRunning: index.campaignRuns(node.id) && targets.some(({ state }) => state === 'enabled'),
    isCounted: node.state === 'enabled' || node.state === 'draft',
    isDraft: node.state === 'draft',
    days: began > settled ? 0 : daysIn(began, settled),
    spend: sum('spend'),
    orders: sum('orders'),
    sales: sum('sales'),
    adGroupId: adGroups[0]?.id ?? null,
    parts,
  };
}

/** The campaign of a plan that something is put into: in a stage, with a part, that it made if there is one. */
export const homeIn = (
  members: readonly Member[],
  stages: readonly Stage[],
  part: PartName,
): Member | undefined => {
  const able = members.filter(
    ({ stage, parts, adGroupId }) => stages.includes(stage) && parts.has(part) && adGroupId !== null,
  );
  return able.find(({ row }) => row.isMade) ?? able[0];
};
