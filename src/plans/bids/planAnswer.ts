import { movedOf, withMoved } from '../../core/bids';
import type { MovedColumns, PlanFacts, TargetPlan } from '../../core/bids';

/** A plan of an account's bids, and the name of what no pace changes in it. */
export type RoundPlan = TargetPlan & { base: string };

/** What is told of a plan to whoever has another one of the same base: what may differ, of the targets that are moved. */
export type PlanStep = PlanFacts & { base: string; moved: MovedColumns };

export type PlanAnswer = RoundPlan | PlanStep;

/** A plan as it is told. @param known the base of a plan that is there already */
export function tellPlan(plan: RoundPlan, known: string): PlanAnswer {
  if (plan.base !== known) return plan;
  const { base, strength, kappa, days, testing, price, isHeldByMoney } = plan;
  return { moved: movedOf(plan), base, strength, kappa, days, testing, price, isHeldByMoney };
}

/** The whole plan again. @param from the plan that was there when it was asked for; null: none */
export function wholePlan(answer: PlanAnswer, from: RoundPlan | null): RoundPlan {
  if ('targetIds' in answer) return answer;
  if (from?.base !== answer.base) throw new Error('The answer goes on from another plan.');
  const { moved, ...rest } = answer;
  return { ...from, ...withMoved(from, moved), ...rest };
}
