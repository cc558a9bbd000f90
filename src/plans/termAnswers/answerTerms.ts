import type { StepName } from '../../contract/review';
import { planTerms } from '../steps';
import type { Planned } from '../steps';
import type { KeptReview, ReviewSettings, Suggested, SuggestionAsked } from '../terms';

/** What each question about the search terms of a window is asked with, and answered with. */
export interface TermsAskedWith {
  /** Which of its proposals start from what the market suggests. */
  open: { settings: ReviewSettings };
  /** A step. @param suggested what the market suggests, micros @param handled keys of rows that are staged or put aside */
  plan: {
    step: StepName;
    settings: ReviewSettings;
    handled: readonly string[];
    suggested: readonly Suggested[];
  };
}
export interface TermAnswers {
  open: { open: SuggestionAsked[] };
  plan: { planned: Planned[] };
}

type Answers = {
  [Q in keyof TermsAskedWith]: (held: KeptReview, asked: TermsAskedWith[Q]) => TermAnswers[Q];
};

const ANSWERS: Answers = {
  open: (held, { settings }) => ({ open: held.suggestionsFor(settings) }),
  plan: (held, { step, settings, handled, suggested }) => {
    held.keepOnly(suggested);
    return { planned: planTerms(held, step, settings, new Set(handled)) };
  },
};

/** Answers a question about the search terms of a window. */
export const answerTerms = <Q extends keyof TermsAskedWith>(
  held: KeptReview,
  question: Q,
  asked: TermsAskedWith[Q],
): TermAnswers[Q] => ANSWERS[question](held, asked);
