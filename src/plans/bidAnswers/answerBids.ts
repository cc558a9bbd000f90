import type { BidQuestion, BidsAskedWith, RoundSettings } from '../../contract/bids';
import type { BidQueue } from '../../contract/review';
import { tellPlan } from '../bids';
import type { GoalTrial, KeptBids, PlanAnswer, RoundPlan, TargetTrial } from '../bids';
import { budgetProposals, spendShares } from '../budgets';
import type { BudgetsPlan, SpendShares } from '../budgets';
import { placementProposals } from '../placements';
import type { PlacementProposals } from '../placements';
import { bidPlanner, planPlacementStep } from '../steps';
import type { BidPlanParts, PlacementParts, Planned } from '../steps';

/** What is asked of an account's bids: beside what pages ask, steps with all that accepting them stages. */
export interface BidsAsked extends BidsAskedWith {
  bidSteps: Omit<BidPlanParts, 'bids'> & { steps: readonly BidQueue[] };
  placementStep: PlacementParts;
  /** A plan that somebody may ask for next: it is worked out and kept. */
  planAhead: { settings: RoundSettings };
}

/** What each question about bids is answered with. */
export interface BidAnswers {
  plan: RoundPlan;
  planFrom: PlanAnswer;
  target: TargetTrial;
  goal: GoalTrial;
  /** In the order of the targets; null where none is known. */
  wanted: { bids: (number | null)[] };
  /** How far the own bid sets what a click costs, whether that was measured, and the targets and clicks that tell of it. */
  price: Pick<KeptBids['prepared']['price'], 'gamma' | 'measured' | 'targets' | 'clicks'>;
  placements: PlacementProposals;
  budgets: BudgetsPlan;
  /** Null: the campaign is not known. */
  shares: { shares: SpendShares | null };
  /** Of each step that was asked for. */
  bidSteps: { planned: Planned[][] };
  placementStep: { planned: Planned[] };
  planAhead: object;
}

type Answers = { [Q in keyof BidsAsked]: (bids: KeptBids, asked: BidsAsked[Q]) => BidAnswers[Q] };

const ANSWERS: Answers = {
  plan: (bids, { settings }) => bids.columns(settings),
  planFrom: (bids, { settings, known }) => tellPlan(bids.columns(settings), known),
  target: (bids, { settings, acos }) => bids.tryTarget(settings, acos),
  goal: (bids, { settings, goal }) => bids.tryGoal(settings, goal),
  wanted: (bids, { settings, targetIds }) => ({ bids: bids.wanted(settings, targetIds) }),
  price: ({ prepared: { price } }) => {
    const { gamma, measured, targets, clicks } = price;
    return { gamma, measured, targets, clicks };
  },
  placements: (bids, { settings, bounds }) => placementProposals(bids, settings, bounds && new Map(bounds)),
  budgets: budgetProposals,
  shares: (bids, { campaignId, minBudget }) => ({ shares: spendShares(bids, campaignId, minBudget) }),
  bidSteps: (bids, { steps, ...parts }) => {
    const plan = bidPlanner(bids.index, { ...parts, bids: bids.columns(parts.settings) });
    return { planned: steps.map(plan) };
  },
  placementStep: ({ index }, parts) => ({ planned: planPlacementStep(index, parts) }),
  planAhead: (bids, { settings }) => {
    bids.decide(settings);
    return {};
  },
};

/** Answers a question about an account's bids. */
export function answerBids<Q extends BidQuestion>(
  bids: KeptBids,
  question: Q,
  asked: BidsAskedWith[Q],
): BidAnswers[Q];
export function answerBids<Q extends keyof BidsAsked>(
  bids: KeptBids,
  question: Q,
  asked: BidsAsked[Q],
): BidAnswers[Q];
export function answerBids<Q extends keyof BidsAsked>(
  bids: KeptBids,
  question: Q,
  asked: BidsAsked[Q],
): BidAnswers[Q] {
  return ANSWERS[question](bids, asked);
}
