import type { RoundAt, RoundStep, Work, WorkState } from './steps/step';

/** The work of all steps, each done once: the list of steps tells what is left in every one. @param steps the same at each call */
export function useWorks(steps: readonly RoundStep[], at: RoundAt): Map<Work, WorkState> {
  const works = new Set(steps.flatMap(({ work }) => work ?? []));
  const done = new Map<Work, WorkState>();
  // The registry does not change while the page stands: the hooks are called in one order.
  for (const work of works) done.set(work, work.useWork(at));
  return done;
}
