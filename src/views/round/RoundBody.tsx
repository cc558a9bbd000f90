import { Steps } from './Steps';
import type { RoundAt, RoundStep } from './steps/step';
import { useStepKeys } from './useStepKeys';
import { useWorks } from './useWorks';

interface RoundBodyProps extends RoundAt {
  steps: readonly RoundStep[];
  onWindow: () => void;
}

const NO_WORK = { left: [], staged: {} };

/** The steps on the left, and the one that is chosen. */
export function RoundBody({ steps, onWindow, ...at }: RoundBodyProps) {
  const { state, account } = at;
  const works = useWorks(steps, at);
  useStepKeys(steps, state, onWindow);
  const shown = steps.find(({ name }) => name === state.step) ?? steps[0];
  const workOf = ({ work }: RoundStep) => (work && works.get(work)) || NO_WORK;
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: shown.hasEvidence ? '224px minmax(0, 1fr) 340px' : '224px minmax(0, 1fr)',
        minHeight: 0,
      }}
    >
      <Steps
        steps={steps}
        shown={shown}
        workOf={workOf}
        currency={account?.currency ?? ''}
        onStep={state.setStep}
      />
      <shown.Step key={shown.name} {...at} work={workOf(shown)} label={shown.label} />
    </div>
  );
}
