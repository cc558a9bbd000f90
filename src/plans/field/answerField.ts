import type { FieldSumsAnswer } from '../../contract/api';
import type { TreeIndex } from '../../core/structure';
import { overviewOf } from './overviewParts';
import { toGrainSums } from './toGrainSums';
import type { OverviewParts } from './types';

/** What each question about an account's targets as a whole is asked with, and answered with. */
export interface FieldAskedWith {
  overview: { sums: FieldSumsAnswer };
}
export interface FieldAnswers {
  overview: OverviewParts;
}

type Answers = {
  [Q in keyof FieldAskedWith]: (index: TreeIndex, asked: FieldAskedWith[Q]) => FieldAnswers[Q];
};

const ANSWERS: Answers = {
  overview: (index, { sums }) => overviewOf(index, toGrainSums(sums).grainSums),
};

/** Answers a question about an account's targets as a whole. */
export const answerField = <Q extends keyof FieldAskedWith>(
  index: TreeIndex,
  question: Q,
  asked: FieldAskedWith[Q],
): FieldAnswers[Q] => ANSWERS[question](index, asked);
