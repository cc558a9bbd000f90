import { steppedOf } from '../../core/bids';
import type { PlanFacts, SteppedColumns, TargetPlan } from '../../core/bids';

/** A plan of an account's bids, and the name of what no pace changes in it. */
export type RoundPlan = TargetPlan & { base: string };

/** What is told of a plan to whoever has another one of the same base: the columns that may differ. */
export type PlanStep = SteppedColumns & PlanFacts & { base: string };

export type PlanAnswer = RoundPlan | PlanStep;

/** A plan as it is told. @param known the base of a plan that is there already */
export function tellPlan(plan: RoundPlan, known: string): PlanAnswer {
  if (plan.base !== known) return plan;
  const { base, strength, kappa, days, testing, price, isHeldByMoney } = plan;
  return { ...steppedOf(plan), base, strength, kappa, days, testing, price, isHeldByMoney };
}

/** The whole plan again. @param from the plan that was there when it was asked for; null: none */
export function wholePlan(answer: PlanAnswer, from: RoundPlan | null): RoundPlan {
  if ('targetIds' in answer) return answer;
  if (from?.base !== answer.base) throw new Error('The answer goes on from another plan.');
  return { ...from, ...answer };
}
