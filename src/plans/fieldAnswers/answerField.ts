import type { FieldSumsAnswer } from '../../contract/api';
import type { MarketLimits } from '../../core/changes';
import type { Stack } from '../../core/conditions';
import type { LensName } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import { planByConditions } from '../byHand';
import type { HandBounds, HandPlanned, HandRule } from '../byHand';
import { heldBy, overviewOf, toGrainSums } from '../field';
import type { Held, OverviewParts } from '../field';

/** What each question about an account's targets as a whole is asked with, and answered with. */
export interface FieldAskedWith {
  overview: { sums: FieldSumsAnswer };
  /** A step by hand on what meets its conditions. */
  byHand: { sums: FieldSumsAnswer; rule: HandRule; limits: MarketLimits; bounds: HandBounds };
  /** What lies in a swath. @param conditions null: they cannot be understood */
  swath: { sums: FieldSumsAnswer; lens: LensName; conditions: Stack | null };
}
export interface FieldAnswers {
  overview: OverviewParts;
  byHand: HandPlanned;
  swath: Held;
}

type Answers = {
  [Q in keyof FieldAskedWith]: (index: TreeIndex, asked: FieldAskedWith[Q]) => FieldAnswers[Q];
};

const ANSWERS: Answers = {
  overview: (index, { sums }) => overviewOf(index, toGrainSums(sums).grainSums),
  byHand: (index, { sums, rule, limits, bounds }) => planByConditions(index, sums, rule, limits, bounds),
  swath: (index, { sums, lens, conditions }) => heldBy(lens, index, sums, conditions),
};

/** Answers a question about an account's targets as a whole. */
export const answerField = <Q extends keyof FieldAskedWith>(
  index: TreeIndex,
  question: Q,
  asked: FieldAskedWith[Q],
): FieldAnswers[Q] => ANSWERS[question](index, asked);
