import type { PlanAnswer, PlanRequest } from '../../contract/plan';
import { BID_QUEUE } from '../../contract/aside';
import { isCampaignStep, isTermStep } from '../../contract/review';
import type { BidQueue, StepName } from '../../contract/review';
import { PACES } from '../../core/bids';
import { aheadOf, pendingTargets, roundSettings } from '../../plans/bids';
import { summaryOf } from '../../plans/steps';
import type { Planned } from '../../plans/steps';
import { pendingKeys, reviewSettings, rowKey } from '../../plans/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { askBids } from '../bids/askBids';
import { loadFieldSums } from '../field/loadFieldSums';
import { asideOf, days, otherwise, pendingOf } from './asItStands';
import { CAMPAIGN_PLANS } from './campaignPlans';
import type { LoadedPlan } from './loadedPlan';
import type { PlanHow } from './how';
import { reviewOf } from '../review/askTerms';

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
  const step = request.step as BidQueue;
  const { answer, planned } = await bidPlans(request, [step], how);
  return { answer: { ...answer, step }, planned };
}

/** Plans several steps that tune bids, from what is loaded once. */
export async function planBidSteps(
  request: Omit<PlanRequest, 'step'>,
  steps: readonly BidQueue[],
  how: PlanHow = {},
): Promise<Planned[]> {
  return (await bidPlans(request, steps, how)).planned;
}

async function bidPlans(
  { account: id, from, to, target, pace, aim }: Omit<PlanRequest, 'step'>,
  steps: readonly BidQueue[],
  how: PlanHow,
): Promise<{ answer: Omit<LoadedPlan['answer'], 'step'>; planned: Planned[] }> {
  const account = accountInfo(await needAccount(id));
  const [sums, aside, pending] = await Promise.all([
    loadFieldSums({ account: id, grain: 'target', from, to }, how.on),
    asideOf(id, BID_QUEUE, how),
    pendingOf(id, how),
  ]);
  const choices = { ...account.choices.bids, ...how.bids, ...(pace && { pace }), ...(aim && { aim }) };
  const targetAcos = target ?? account.targetAcos;
  const settings = roundSettings(
    { bids: choices, money: account.choices.money },
    account.limits,
    aheadOf(pending),
  );
  const asked = {
    steps,
    sums,
    settings,
    staged: [...pendingTargets(pending).keys()],
    aside: aside.map(([targetId]) => targetId),
  };
  const { planned } = await askBids(id, 'bidSteps', asked, otherwise(target, how));
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
    planned: planned.flat(),
  };
}

async function termPlan(
  { account: id, step, from, to, target }: PlanRequest,
  how: PlanHow,
): Promise<LoadedPlan> {
  const { terms, goal, routes, on } = how;
  const [{ account, window, plan }, aside, pending] = await Promise.all([
    reviewOf(id, { from, to, on, routes }),
    asideOf(id, step, how),
    pendingOf(id, how),
  ]);
  const aim = target ?? (goal ? (goal.low + goal.high) / 2 : account.targetAcos);
  const chosen = reviewSettings({ ...account.choices.terms, ...terms }, aim);
  const settings = routes ? { ...chosen, isRoutedOnly: true } : chosen;
  const handled = pendingKeys(pending);
  for (const [adGroupId, termId] of aside) handled.add(rowKey(step as StepName, adGroupId, termId));
  return {
    answer: { step, window: days(window), settings: { ...settings } },
    planned: await plan(step as StepName, settings, handled),
  };
}
