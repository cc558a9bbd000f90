import type { PlanRequest } from '../../contract/plan';
import type { CampaignStep } from '../../contract/review';
import { settingsOf } from '../../core/bids';
import { buildLens } from '../../core/lenses';
import { indexTree, PLACEMENTS } from '../../core/structure';
import { microsToDecimal } from '../../core/units';
import { aheadOf, roundSettings } from '../../plans/bids';
import { pendingBudgets } from '../../plans/budgets';
import { toGrainSums } from '../../plans/field';
import { pendingSchedules } from '../../plans/hours';
import { boundsBy, pendingPlacements, placementSettings, stagedBids } from '../../plans/placements';
import { planBudgetStep, planHourStep } from '../../plans/steps';
import { accountInfo, needAccount } from '../accounts/accounts';
import { askBids } from '../bids/askBids';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { planSchedules } from '../hours/loadSchedules';
import { asideOf, days, otherwise, pendingOf } from './asItStands';
import { withGoal } from './how';
import type { PlanHow } from './how';
import type { LoadedPlan } from './loadedPlan';

/** Plans the steps that go over campaigns. */
export const CAMPAIGN_PLANS = {
  placements: placementPlan,
  budgets: budgetPlan,
  hours: hoursPlan,
} satisfies Record<CampaignStep, (request: PlanRequest, how: PlanHow) => Promise<LoadedPlan>>;

/** What every one of them goes by: an outline of the account, for campaigns are added up from their ad groups. */
async function commonOf({ account: id, step, target }: PlanRequest, how: PlanHow) {
  const account = accountInfo(await needAccount(id));
  const [known, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on, targets: 'none' }),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const index = indexTree({ ...withGoal(known, how), accountAcos: targetAcos });
  return { account, index, targetAcos, pending, aside: aside.map(([campaignId]) => campaignId) };
}

async function placementPlan(request: PlanRequest, how: PlanHow): Promise<LoadedPlan> {
  const { account: id, step, from, to, target } = request;
  const { placements: asks } = how;
  const sumsOf = (grain: 'ad-group' | 'placement', window: { from?: string; to?: string } = { from, to }) =>
    loadFieldSums({ account: id, grain, ...window }, how.on);
  const [{ account, index, targetAcos, pending, aside }, adGroups, placements, askedOf] = await Promise.all([
    commonOf(request, how),
    sumsOf('ad-group'),
    sumsOf('placement'),
    asks && sumsOf('placement', { from: `last${asks.days}`, to: 'settled' }),
  ]);
  const choices = { ...account.choices.bids, ...how.bids };
  const settings = placementSettings(settingsOf(choices, account.limits), account.options);
  const bounds =
    asks && askedOf && boundsBy(asks, buildLens('placements', index, toGrainSums(askedOf).grainSums));
  const other = otherwise(target, how);
  const parts = {
    sums: { adGroups, placements },
    proposals: await askBids(
      id,
      'placements',
      { settings, ...(bounds && { bounds: index.tree.campaigns.map((one) => [one.id, bounds(one.id)]) }) },
      other,
    ),
    settings,
    staged: pendingPlacements(pending),
    aside,
    bids: stagedBids(
      pending.map((one) => ({ ...one, effect: { spend: one.effectSpend, sales: one.effectSales } })),
    ),
    first: asks?.first ?? 'gain',
  } as const;
  // The base bids that go with modifiers are those of targets, which the thread of bids has.
  const { planned } = await askBids(id, 'placementStep', parts, other);
  const settable = PLACEMENTS.filter((_, at) => settings.modifiers[at]);
  return {
    answer: { step, window: days(adGroups.window), settings: { targetAcos, placements: settable } },
    planned,
  };
}

async function budgetPlan(request: PlanRequest, how: PlanHow): Promise<LoadedPlan> {
  const { account: id, step, from, to, target } = request;
  const [{ account, index, targetAcos, pending, aside }, sums] = await Promise.all([
    commonOf(request, how),
    loadFieldSums({ account: id, grain: 'ad-group', from, to }, how.on),
  ]);
  const choices = { ...account.choices, bids: { ...account.choices.bids, ...how.bids } };
  const settings = roundSettings(choices, account.limits, aheadOf(pending));
  const planned = planBudgetStep({
    index,
    sums,
    budgets: await askBids(id, 'budgets', { settings, locks: [] }, otherwise(target, how)),
    staged: pendingBudgets(pending),
    aside,
  });
  const { means, month, over } = account.choices.money;
  return {
    answer: {
      step,
      window: days(sums.window),
      settings: { targetAcos, means, month: month === null ? null : microsToDecimal(month), over },
    },
    planned,
  };
}

async function hoursPlan(request: PlanRequest, how: PlanHow): Promise<LoadedPlan> {
  const { account: id, step, from, to } = request;
  const [{ account, index, targetAcos, pending, aside }, sums, { plan, offered }] = await Promise.all([
    commonOf(request, how),
    loadFieldSums({ account: id, grain: 'ad-group', from, to }, how.on),
    planSchedules(id, how.on),
  ]);
  const planned = planHourStep({
    index,
    sums,
    rows: plan.rows,
    limits: account.limits,
    staged: pendingSchedules(pending),
    aside,
  });
  const { gain, least, orders, isWorthIt } = plan.worth;
  return {
    answer: {
      step,
      window: days(sums.window),
      settings: { targetAcos, schedules: offered, gain, least, orders, isWorthIt },
    },
    planned,
  };
}
