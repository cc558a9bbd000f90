import type { PlanAnswer, PlanRequest } from '../../contract/plan';
import { BID_QUEUE } from '../../contract/aside';
import { isCampaignStep, isTermStep } from '../../contract/review';
import type { BidQueue } from '../../contract/review';
import { PACES } from '../../core/bids';
import { aheadOf, pendingTargets, roundSettings } from '../../plans/bids';
import { bidPlanner, planTerms, summaryOf } from '../../plans/steps';
import type { Planned } from '../../plans/steps';
import { askSuggestions, keptReview, pendingKeys, reviewSettings, rowKey } from '../../plans/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { askBids } from '../bids/askBids';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { asideOf, days, otherwise, pendingOf } from './asItStands';
import { CAMPAIGN_PLANS } from './campaignPlans';
import type { LoadedPlan } from './loadedPlan';
import { withGoal } from './how';
import type { PlanHow } from './how';
import { suggestNew } from '../field/suggestBids';
import { loadReview } from '../review/loadReview';

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
  const [known, sums, aside, pending] = await Promise.all([
    loadTree(id, { on: how.on }),
    loadFieldSums({ account: id, grain: 'target', from, to }, how.on),
    asideOf(id, BID_QUEUE, how),
    pendingOf(id, how),
  ]);
  const choices = { ...account.choices.bids, ...how.bids, ...(pace && { pace }), ...(aim && { aim }) };
  const targetAcos = target ?? account.targetAcos;
  const tree = { ...withGoal(known, how), accountAcos: targetAcos };
  const settings = roundSettings(
    { bids: choices, money: account.choices.money },
    account.limits,
    aheadOf(pending),
  );
  const plan = bidPlanner({
    tree,
    sums,
    bids: await askBids(id, 'plan', { settings }, otherwise(target, tree, how)),
    settings,
    staged: [...pendingTargets(pending).keys()],
    aside: aside.map(([targetId]) => targetId),
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
