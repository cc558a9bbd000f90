import type { BidQuestion, BidsAskedWith } from '../../contract/bids';
import { tellPlan } from '../bids';
import type { GoalTrial, KeptBids, PlanAnswer, RoundPlan, TargetTrial } from '../bids';
import { budgetProposals, spendShares } from '../budgets';
import type { BudgetsPlan, SpendShares } from '../budgets';
import { placementProposals } from '../placements';
import type { PlacementProposals } from '../placements';

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
}

type Answers = { [Q in BidQuestion]: (bids: KeptBids, asked: BidsAskedWith[Q]) => BidAnswers[Q] };

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
};

/** Answers a question about an account's bids. */
export const answerBids = <Q extends BidQuestion>(
  bids: KeptBids,
  question: Q,
  asked: BidsAskedWith[Q],
): BidAnswers[Q] => ANSWERS[question](bids, asked);
