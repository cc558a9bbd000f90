import type { RoundAt, RoundStep } from '../steps/step';
import type { TermStepSpec } from './termSpec';
import { TermStep } from './TermStep';
import { useTermWork } from './useTermWork';
import type { TermWork } from './useTermWork';

/** All steps that go through search terms go over those of the window: worked out once. */
const work = { useWork: useTermWork };

/** A step that goes through search terms. */
export function makeTermStep(spec: TermStepSpec): RoundStep<TermWork> {
  const { name, label, money } = spec;
  const Step = (at: RoundAt & { work: TermWork }) => <TermStep {...at} spec={spec} />;
  return { name, label, money, purpose: name, keys: [], work, Step, hasEvidence: true };
}
