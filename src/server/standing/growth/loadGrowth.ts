import type { FreeCampaign, GrowthInfo, GrowthMember, GrowthStep } from '../../../contract/growth';
import { MowingError } from '../../../contract/mowingError';
import { paidOf } from '../../../core/budgets';
import { describeChange } from '../../../core/changes';
import { findMoney, growthForecast } from '../../../core/growth';
import type { Stage } from '../../../core/growth';
import { partOf } from '../../../core/build';
import { addDays } from '../../../core/units';
import { listCampaignDays, listGrowthSteps, listMembers } from '../../../db/queries/growth';
import { listRuleChanges } from '../../../db/queries/rules';
import { db } from '../../context/context';
import { loadRules, noRule } from '../rules';
import { growthWanted } from './growthWanted';
import type { GrowthNight } from './growthWanted';

/** Days that are drawn. */
const DRAWN = 90;
const MOST_STEPS = 100;

/** A growth plan with all that it stands at, what it would do tonight, and what is to be expected. */
export async function loadGrowth(accountId: number, id: number): Promise<GrowthInfo> {
  const { rules } = await loadRules(accountId);
  const info = rules.find((one) => one.id === id);
  if (!info) throw noRule(id);
  if (info.rule.growth === null) throw new MowingError('bad-request', 'This rule is no growth plan.');
  const night = await growthWanted(accountId, id, info.rule);
  const { look, money, waits, wanted } = night;
  const { index, members, settled, range, productId, plan } = look;
  const [days, steps, changes, all] = await Promise.all([
    listCampaignDays(
      db(),
      accountId,
      members.map(({ id: campaign }) => campaign),
      addDays(settled, -DRAWN),
    ),
    listGrowthSteps(db(), accountId, id, MOST_STEPS),
    listRuleChanges(db(), accountId, id, MOST_STEPS),
    listMembers(db(), accountId),
  ]);
  const stageOf = new Map(members.map((one) => [one.id, one.stage]));
  const byDay = new Map<string, GrowthInfo['days'][number]>();
  for (const { campaignId, day, spend, orders, sales } of days) {
    const stage = stageOf.get(campaignId)!;
    const one = byDay.get(`${day} ${stage}`) ?? { day, stage, spend: 0, orders: 0, sales: 0 };
    one.spend += spend;
    one.orders += orders;
    one.sales += sales;
    byDay.set(`${day} ${stage}`, one);
  }
  const taken = new Set(all.map(({ campaignId }) => campaignId));
  return {
    info,
    product: index.products.get(productId)?.name ?? info.scopeName,
    margin: index.products.get(productId)?.margin ?? null,
    range,
    members: members.map((one) => toMember(one, night)),
    mayTakeIn: freeCampaigns(night, taken),
    money: { now: money.now, free: money.free, find: findMoney(plan, look.limits) },
    days: [...byDay.values()],
    settled,
    tonight: wanted.map(({ name, place, reason, list, moves }) => ({
      name,
      place,
      reason,
      words: moves ? `goes on to ${moves.to}` : list.map(({ change }) => describeChange(change)).join('; '),
    })),
    waits,
    forecast: forecastOf(night),
    steps: stepsOf(steps, changes),
  };
}

function toMember(
  {
    row,
    id,
    name,
    stage,
    isRunning,
    budget,
    days,
    spend,
    orders,
    sales,
  }: GrowthNight['look']['members'][number],
  { look: { index, needs } }: GrowthNight,
): GrowthMember {
  return {
    id,
    name,
    stage,
    since: row.since,
    isMade: row.isMade,
    cameWith: row.budget,
    state: index.campaigns.get(id)?.state ?? '',
    isRunning,
    budget,
    need: needs.get(id)?.need ?? null,
    days,
    spend,
    orders,
    sales,
    reason: row.reason,
  };
}

/** Campaigns of the product with a daily budget that no plan has. */
function freeCampaigns(
  { look: { index, productId } }: GrowthNight,
  taken: ReadonlySet<number>,
): FreeCampaign[] {
  return index.tree.campaigns.flatMap(({ id, name, state, budget, budgetKind }) =>
    index.productOfCampaign.get(id) === productId &&
    !taken.has(id) &&
    (state === 'enabled' || state === 'paused') &&
    budgetKind === 'daily' &&
    budget !== null
      ? [{ id, name, budget, stage: fittingStage(index, id) }]
      : [],
  );
}

/** What looks for terms finds; what bids on known ones is tuned. */
function fittingStage({ tree, placeOfAdGroup }: GrowthNight['look']['index'], campaignId: number): Stage {
  const looks = tree.targets.some(
    (target) =>
      target.state === 'enabled' &&
      placeOfAdGroup(target.adGroupId).campaignId === campaignId &&
      ['auto', 'broad', 'phrase', 'categories'].includes(partOf(target, false) ?? ''),
  );
  return looks ? 'find' : 'tune';
}

/** A month to come, with the budgets of tonight. */
function forecastOf({ look, money }: GrowthNight): GrowthInfo['forecast'] {
  const to = new Map(money.budgets.map(({ campaign, to: budget }) => [campaign, budget]));
  const margin = look.index.products.get(look.productId)?.margin ?? null;
  return growthForecast(
    look.members
      .filter(({ isRunning }) => isRunning)
      .map(({ id, budget, orders, sales }) => {
        const need = look.needs.get(id);
        if (!need) return null;
        const { spend, cpc, rpc } = need;
        return { spend: paidOf(to.get(id) ?? budget, spend, cpc), cpc, rpc, orders, sales };
      }),
    margin,
  );
}

function stepsOf(
  stages: Awaited<ReturnType<typeof listGrowthSteps>>,
  changes: Awaited<ReturnType<typeof listRuleChanges>>,
): GrowthStep[] {
  const all = [
    ...stages.map(({ day, campaign, stage, reason }) => ({
      day,
      what: stage === null ? `“${campaign}” was given back` : `“${campaign}”: ${stage}`,
      reason,
      state: null,
    })),
    ...changes.map(({ day, change, campaign, reason, state }) => ({
      day,
      what: `${campaign === null ? '' : `${campaign}: `}${describeChange(change)}`,
      reason,
      state,
    })),
  ];
  return all.sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0)).slice(0, MOST_STEPS);
}
