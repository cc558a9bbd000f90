import type { PlanAnswer, PlanRequest } from '../../contract/plan';
import { BID_QUEUE, idsOfSubject } from '../../contract/aside';
import { isCampaignStep, isTermStep } from '../../contract/review';
import type { BidQueue, CampaignStep } from '../../contract/review';
import type { BidFeed } from '../../core/bids';
import { PACES } from '../../core/bids';
import { PLACEMENTS } from '../../core/structure';
import { microsToDecimal } from '../../core/units';
import { feedOnDay } from '../../plans/past';
import { listChangeRows } from '../../db/queries/changes';
import { aheadOf, pendingTargets } from '../../plans/bids';
import { pendingBudgets } from '../../plans/budgets';
import { pendingSchedules } from '../../plans/hours';
import { pendingPlacements, stagedBids } from '../../plans/placements';
import {
  bidPlanner,
  planBudgetStep,
  planHourStep,
  planPlacementStep,
  planTerms,
  summaryOf,
} from '../../plans/steps';
import type { Planned } from '../../plans/steps';
import { askSuggestions, keptReview, pendingKeys, reviewSettings, rowKey } from '../../plans/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { loadBidFeed } from '../bids/loadBidFeed';
import { loadAside } from '../aside/aside';
import { db } from '../context/context';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { planSchedules } from '../hours/loadSchedules';
import { withGoal } from './how';
import type { PlanHow } from './how';
import { suggestNew } from '../field/suggestBids';
import { loadReview } from '../review/loadReview';

/** The proposals of a step with what accepting them stages. */
export interface LoadedPlan {
  answer: Omit<PlanAnswer, 'summary' | 'proposals'>;
  planned: Planned[];
}

/** What a step of the round proposes now: the same figures, choices and rows as on the page. */
export async function loadPlan(request: PlanRequest): Promise<PlanAnswer> {
  const { answer, planned } = await planStep(request);
  return { ...answer, summary: summaryOf(planned), proposals: planned.map(({ told }) => told) };
}

/** Plans a step with everything that is told of it and staged by it. */
export async function planStep(request: PlanRequest, how: PlanHow = {}): Promise<LoadedPlan> {
  if (isTermStep(request.step)) return termPlan(request, how);
  if (!isCampaignStep(request.step)) return bidPlan(request, how);
  return CAMPAIGN_PLANS[request.step](request, how);
}

const CAMPAIGN_PLANS = {
  placements: placementPlan,
  budgets: budgetPlan,
  hours: hoursPlan,
} satisfies Record<CampaignStep, unknown>;

/** What is in the tray or under way; nothing of it was on a day that is past. */
async function pendingOf(accountId: number, { on }: PlanHow) {
  if (on !== undefined) return [];
  const lists = await Promise.all(
    (['staged', 'sending'] as const).map((state) => listChangeRows(db(), accountId, { state })),
  );
  return lists.flat();
}

/** The ids of what is put aside in a queue; what was on a day that is past is not known. */
async function asideOf(accountId: number, queue: string, { on }: PlanHow): Promise<number[][]> {
  if (on !== undefined) return [];
  const { aside } = await loadAside(accountId);
  return aside.filter((one) => one.queue === queue).map(({ subject }) => idsOfSubject(subject));
}

/** What bids are worked out from, as it was known. */
async function feedOf(accountId: number, how: PlanHow): Promise<BidFeed> {
  const feed = await loadBidFeed(accountId, how);
  return how.on === undefined ? feed : feedOnDay(feed, how.on, todayOf(await needAccount(accountId)));
}

async function bidPlan(request: PlanRequest, how: PlanHow): Promise<LoadedPlan> {
  const { answer, plan } = await bidPlans(request, how);
  const step = request.step as BidQueue;
  return { answer: { ...answer, step }, planned: plan(step) };
}

/** Plans several steps that tune bids, from what is loaded once. */
export async function planBidSteps(
  request: Omit<PlanRequest, 'step'>,
  steps: readonly BidQueue[],
  how: PlanHow = {},
): Promise<Planned[]> {
  const { plan } = await bidPlans(request, how);
  return steps.flatMap(plan);
}

async function bidPlans(
  { account: id, from, to, target, pace, aim }: Omit<PlanRequest, 'step'>,
  how: PlanHow,
): Promise<{ answer: Omit<LoadedPlan['answer'], 'step'>; plan: (step: BidQueue) => Planned[] }> {
  const account = accountInfo(await needAccount(id));
  const [tree, sums, feed, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on }),
    loadFieldSums({ account: id, grain: 'target', from, to }, how.on),
    feedOf(id, how),
    asideOf(id, BID_QUEUE, how),
    pendingOf(id, how),
  ]);
  const choices = { ...account.choices.bids, ...how.bids, ...(pace && { pace }), ...(aim && { aim }) };
  const targetAcos = target ?? account.targetAcos;
  const { settings, plan } = bidPlanner({
    tree: { ...withGoal(tree, how), accountAcos: targetAcos },
    sums,
    feed,
    choices,
    limits: account.limits,
    staged: [...pendingTargets(pending).keys()],
    aside: aside.map(([targetId]) => targetId),
    ahead: aheadOf(pending),
    money: account.choices.money,
  });
  const { pace: named, aim: toward, holdDays, secondSteps, provenOrders, leastEvidence } = choices;
  return {
    answer: {
      window: days(sums.window),
      settings: {
        targetAcos,
        pace: named,
        step: named === 'own' ? choices.own : PACES[named],
        aim: toward,
        floor: settings.limits.minBid,
        cap: settings.limits.maxBid,
        holdDays,
        secondSteps,
        provenOrders,
        testCap: choices.testCap,
        leastEvidence,
      },
    },
    plan,
  };
}

async function placementPlan(
  { account: id, step, from, to, target }: PlanRequest,
  how: PlanHow,
): Promise<LoadedPlan> {
  const account = accountInfo(await needAccount(id));
  const { placements: asks } = how;
  const sumsOf = (grain: 'target' | 'placement', days: { from?: string; to?: string } = { from, to }) =>
    loadFieldSums({ account: id, grain, ...days }, how.on);
  const [tree, targets, placements, askedOf, feed, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on }),
    sumsOf('target'),
    sumsOf('placement'),
    asks && sumsOf('placement', { from: `last${asks.days}`, to: 'settled' }),
    feedOf(id, how),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const { settings, planned } = planPlacementStep({
    tree: { ...withGoal(tree, how), accountAcos: targetAcos },
    sums: { targets, placements },
    feed,
    choices: { ...account.choices.bids, ...how.bids },
    limits: account.limits,
    options: account.options,
    asked: asks && askedOf ? { asks, sums: askedOf } : null,
    staged: pendingPlacements(pending),
    aside: aside.map(([campaignId]) => campaignId),
    bids: stagedBids(
      pending.map((one) => ({ ...one, effect: { spend: one.effectSpend, sales: one.effectSales } })),
    ),
  });
  const settable = PLACEMENTS.filter((_, at) => settings.modifiers[at]);
  return {
    answer: { step, window: days(targets.window), settings: { targetAcos, placements: settable } },
    planned,
  };
}

async function budgetPlan(
  { account: id, step, from, to, target }: PlanRequest,
  how: PlanHow,
): Promise<LoadedPlan> {
  const account = accountInfo(await needAccount(id));
  const [tree, sums, feed, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on }),
    loadFieldSums({ account: id, grain: 'target', from, to }, how.on),
    feedOf(id, how),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const { planned } = planBudgetStep({
    tree: { ...withGoal(tree, how), accountAcos: targetAcos },
    sums,
    feed,
    choices: { ...account.choices, bids: { ...account.choices.bids, ...how.bids } },
    limits: account.limits,
    ahead: aheadOf(pending),
    staged: pendingBudgets(pending),
    aside: aside.map(([campaignId]) => campaignId),
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

async function hoursPlan(
  { account: id, step, from, to, target }: PlanRequest,
  how: PlanHow,
): Promise<LoadedPlan> {
  const account = accountInfo(await needAccount(id));
  const [tree, sums, { plan, offered }, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on }),
    loadFieldSums({ account: id, grain: 'target', from, to }, how.on),
    planSchedules(id, how.on),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const planned = planHourStep({
    tree: { ...withGoal(tree, how), accountAcos: targetAcos },
    sums,
    rows: plan.rows,
    limits: account.limits,
    staged: pendingSchedules(pending),
    aside: aside.map(([campaignId]) => campaignId),
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

async function termPlan(
  { account: id, step, from, to, target }: PlanRequest,
  how: PlanHow,
): Promise<LoadedPlan> {
  const { terms, goal, routes, on } = how;
  const [all, aside, pending] = await Promise.all([
    loadReview(id, from, to, on),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const review = routes ? { ...all, routes } : all;
  const { account, window } = review;
  const aim = target ?? (goal ? (goal.low + goal.high) / 2 : account.targetAcos);
  const chosen = reviewSettings({ ...account.choices.terms, ...terms }, aim);
  const settings = routes ? { ...chosen, isRoutedOnly: true } : chosen;
  const held = keptReview(1, review);
  // What the market would have suggested on a day that is past is not known.
  if (on === undefined)
    await askSuggestions(held, settings, async (targets) => (await suggestNew(id, targets)).bids);
  const handled = pendingKeys(pending);
  for (const [adGroupId, termId] of aside) handled.add(rowKey(step as 'harvest', adGroupId, termId));
  return {
    answer: { step, window: days(window), settings: { ...settings } },
    planned: planTerms(held, step as 'harvest', settings, handled),
  };
}

const days = ({ from, to }: { from: string; to: string }) => ({ from, to });
