import type { FieldSumsAnswer } from '../../contract/api';
import type { PlanAnswer, PlanRequest } from '../../contract/plan';
import { BID_QUEUE, idsOfSubject } from '../../contract/aside';
import { isCampaignStep, isTermStep } from '../../contract/review';
import type { BidQueue, CampaignStep, ReviewData } from '../../contract/review';
import type { BidChoices, BidFeed } from '../../core/bids';
import { PACES } from '../../core/bids';
import type { Goal } from '../../core/goals';
import { PLACEMENTS } from '../../core/structure';
import type { Route } from '../../core/routes';
import type { AccountTree } from '../../core/structure';
import { microsToDecimal } from '../../core/units';
import type { Day } from '../../core/units';
import type { TermChoices } from '../../contract/choices';
import { asOnDay } from '../../plans/past';
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
import { loadBidFeed } from '../bids/loadBidFeed';
import { loadAside } from '../aside/aside';
import { db } from '../context/context';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { planSchedules } from '../hours/loadSchedules';
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

/** How a step is planned otherwise than the account's choices say. */
export interface PlanHow {
  bids?: Partial<BidChoices>;
  terms?: Partial<TermChoices>;
  /** A target in place of the one that its scope has. */
  goal?: Goal;
  /** Days that are looked at. */
  lookBack?: number;
  /** Where search terms come from (ad groups) and move to, in place of the account's own routes. */
  routes?: Route[];
  /** As on a day that is past, with what was known then; of steps that tune bids alone. */
  on?: Day;
}

/** Plans a step with everything that is told of it and staged by it. */
export async function planStep(request: PlanRequest, how: PlanHow = {}): Promise<LoadedPlan> {
  if (isTermStep(request.step)) return termPlan(request, how);
  if (!isCampaignStep(request.step)) return bidPlan(request, how);
  return CAMPAIGN_PLANS[request.step](request, how);
}

/** The tree with another target in one scope; nearer ones keep theirs. */
export const withGoal = (tree: AccountTree, goal: Goal | undefined): AccountTree =>
  goal === undefined
    ? tree
    : {
        ...tree,
        goals: [
          ...tree.goals.filter((one) => one.scope !== goal.scope || one.scopeId !== goal.scopeId),
          goal,
        ],
      };

const CAMPAIGN_PLANS = {
  placements: placementPlan,
  budgets: budgetPlan,
  hours: hoursPlan,
} satisfies Record<CampaignStep, unknown>;

async function pendingOf(accountId: number) {
  const lists = await Promise.all(
    (['staged', 'sending'] as const).map((state) => listChangeRows(db(), accountId, { state })),
  );
  return lists.flat();
}

/** The ids of what is put aside in a queue. */
async function asideOf(accountId: number, queue: string): Promise<number[][]> {
  const { aside } = await loadAside(accountId);
  return aside.filter((one) => one.queue === queue).map(({ subject }) => idsOfSubject(subject));
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
  const [now, sums, toldFeed, aside, waiting] = await Promise.all([
    loadTree(id),
    loadFieldSums({ account: id, grain: 'target', from, to }).then(read<FieldSumsAnswer>),
    loadBidFeed(id, how).then(read<BidFeed>),
    asideOf(id, BID_QUEUE),
    pendingOf(id),
  ]);
  const { tree, feed } =
    how.on === undefined ? { tree: now, feed: toldFeed } : asOnDay(now, toldFeed, how.on, now.today);
  const pending = how.on === undefined ? waiting : [];
  const choices = { ...account.choices.bids, ...how.bids, ...(pace && { pace }), ...(aim && { aim }) };
  const targetAcos = target ?? account.targetAcos;
  const { settings, plan } = bidPlanner({
    tree: { ...withGoal(tree, how.goal), accountAcos: targetAcos },
    sums,
    feed,
    choices,
    limits: account.limits,
    staged: [...pendingTargets(pending).keys()],
    aside: how.on === undefined ? aside.map(([targetId]) => targetId) : [],
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
  const sumsOf = (grain: 'target' | 'placement') =>
    loadFieldSums({ account: id, grain, from, to }).then(read<FieldSumsAnswer>);
  const [tree, targets, placements, feed, aside, pending] = await Promise.all([
    loadTree(id),
    sumsOf('target'),
    sumsOf('placement'),
    loadBidFeed(id, how).then(read<BidFeed>),
    asideOf(id, step),
    pendingOf(id),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const { settings, planned } = planPlacementStep({
    tree: { ...withGoal(tree, how.goal), accountAcos: targetAcos },
    sums: { targets, placements },
    feed,
    choices: { ...account.choices.bids, ...how.bids },
    limits: account.limits,
    options: account.options,
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
    loadTree(id),
    loadFieldSums({ account: id, grain: 'target', from, to }).then(read<FieldSumsAnswer>),
    loadBidFeed(id, how).then(read<BidFeed>),
    asideOf(id, step),
    pendingOf(id),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const { planned } = planBudgetStep({
    tree: { ...withGoal(tree, how.goal), accountAcos: targetAcos },
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
    loadTree(id),
    loadFieldSums({ account: id, grain: 'target', from, to }).then(read<FieldSumsAnswer>),
    planSchedules(id),
    asideOf(id, step),
    pendingOf(id),
  ]);
  const targetAcos = target ?? account.targetAcos;
  const planned = planHourStep({
    tree: { ...withGoal(tree, how.goal), accountAcos: targetAcos },
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
  { terms, goal, routes }: PlanHow,
): Promise<LoadedPlan> {
  const [all, aside, pending] = await Promise.all([
    loadReview(id, from, to).then(read<ReviewData>),
    asideOf(id, step),
    pendingOf(id),
  ]);
  const review = routes ? { ...all, routes } : all;
  const { account, window } = review;
  const aim = target ?? (goal ? (goal.low + goal.high) / 2 : account.targetAcos);
  const chosen = reviewSettings({ ...account.choices.terms, ...terms }, aim);
  const settings = routes ? { ...chosen, isRoutedOnly: true } : chosen;
  const held = keptReview(1, review);
  await askSuggestions(held, settings, async (targets) => (await suggestNew(id, targets)).bids);
  const handled = pendingKeys(pending);
  for (const [adGroupId, termId] of aside) handled.add(rowKey(step as 'harvest', adGroupId, termId));
  return {
    answer: { step, window: days(window), settings: { ...settings } },
    planned: planTerms(held, step as 'harvest', settings, handled),
  };
}

const read = <T>(text: string): T => JSON.parse(text) as T;
const days = ({ from, to }: { from: string; to: string }) => ({ from, to });
