import type { PlanAnswer } from '../../contract/plan';
import type { Planned } from '../../plans/steps';

/** The proposals of a step with what accepting them stages. */
export interface LoadedPlan {
  answer: Omit<PlanAnswer, 'summary' | 'proposals'>;
  planned: Planned[];
}
