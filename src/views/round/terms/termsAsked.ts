import { isTermStep, TERM_STEPS } from '../../../contract/review';
import type { StepName } from '../../../contract/review';
import { rowKey } from '../../../plans/terms';
import type { ArrangeRequest, ReviewSettings } from '../../../plans/terms';
import type { RoundView } from '../roundView';

/** The keys of subjects as arranging compares them. */
export const keysOf = (step: StepName, subjects: Iterable<string>) =>
  Array.from(subjects, (subject) => {
    const [, adGroupId, termId] = subject.split(' ');
    return rowKey(step, Number(adGroupId), Number(termId));
  });

/**
 * The rows that are asked for at a step of the round. Beside the steps that go through terms theirs are arranged anyway: the list of steps tells how many
 * are left.
 */
export function termsAsked(
  at: string,
  { show, conditions, sort }: Pick<RoundView, 'show' | 'conditions' | 'sort'>,
  settings: ReviewSettings,
): Omit<ArrangeRequest, 'staged' | 'aside'> & { step: StepName } {
  const isShown = isTermStep(at);
  return {
    step: isShown ? at : TERM_STEPS[0],
    show: isShown && show !== 'testing' ? show : 'proposed',
    settings,
    conditions: isShown ? conditions : [],
    sort: isShown ? (sort as ArrangeRequest['sort']) : null,
  };
}

/** The same without what is decided. In order: the same keys are the same request, whatever they were decided in. */
export const withoutDecided = (
  asked: ReturnType<typeof termsAsked>,
  staged: Iterable<string>,
  asideOf: (step: StepName) => Iterable<string>,
): ArrangeRequest => ({
  ...asked,
  staged: [...staged].sort(),
  aside: TERM_STEPS.flatMap((step) => keysOf(step, asideOf(step))).sort(),
});
