import { Columns } from '../shared/kit';
import { Steps } from './Steps';
import type { RoundAt, RoundStep } from './steps/step';
import { Tour } from './tour/Tour';
import { useStepKeys } from './useStepKeys';
import { useWorks } from './useWorks';

interface RoundBodyProps extends RoundAt {
  steps: readonly RoundStep[];
}

const NO_WORK = { left: [], staged: {}, hasData: true, isCurrent: true };

/** The steps on the left, and the one that is chosen. */
export function RoundBody({ steps, ...at }: RoundBodyProps) {
  const { state, account } = at;
  const works = useWorks(steps, at);
  useStepKeys(steps, state, () => at.window.onOpen(true));
  const shown = steps.find(({ name }) => name === state.step) ?? steps[0];
  const workOf = ({ work }: RoundStep) => (work && works.get(work)) || NO_WORK;
  return (
    <Columns
      name="round"
      left={
        <Steps
          steps={steps}
          shown={shown}
          workOf={workOf}
          currency={account?.currency ?? ''}
          onStep={state.setStep}
        />
      }
      panel={shown.hasEvidence ? 'open' : null}
    >
      <shown.Step key={shown.name} {...at} work={workOf(shown)} label={shown.label} />
      <Tour state={state} />
    </Columns>
  );
}
