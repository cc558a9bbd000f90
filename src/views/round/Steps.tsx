import { formatCount, formatMoney } from '../../core/units';
import { PartList } from '../shared/kit';
import { TourOffer } from './tour/Tour';
import type { RoundStep, WorkState } from './steps/step';

interface StepsProps {
  steps: readonly RoundStep[];
  shown: RoundStep;
  workOf: (step: RoundStep) => WorkState;
  currency: string;
  onStep: (name: string) => void;
}

/** The steps of the round: how many proposals are left, and how much money is in them. Nine have room at 800 px. */
export function Steps({ steps, shown, workOf, currency, onStep }: StepsProps) {
  return (
    <PartList
      title="Round"
      label="Steps"
      marks="step"
      current={shown.name}
      onChoose={(name) => onStep(String(name))}
      entries={steps.map((step, index) => ({
        key: step.name,
        keys: String(index + 1),
        ...entryOf(step, index + 1, workOf(step), currency),
      }))}
    >
      <TourOffer />
    </PartList>
  );
}

/** How a step stands: what is left in it, its money, and how much of it is done. */
function entryOf({ name, label, money }: RoundStep, digit: number, work: WorkState, currency: string) {
  const summary = work.left.find(({ step }) => step === name);
  const left = summary?.left ?? 0;
  const staged = work.staged[name] ?? 0;
  // Nothing left is all done, once it is known; without data nothing is.
  const isDone = summary !== undefined && work.hasData ? 1 : 0;
  const share = left + staged === 0 ? isDone : staged / (left + staged);
  return {
    label: (
      <span className="spread">
        <span>
          <span className="faint">{digit}</span> {label}
        </span>
        {money !== null && work.hasData && (
          <span className="figure">{summary ? formatCount(left) : '…'}</span>
        )}
      </span>
    ),
    does: money !== null && (
      <>
        <span className="spread small">
          <span>{work.hasData ? `${currency} ${money}` : 'no data yet'}</span>
          <span className="figure">{work.hasData && summary ? formatMoney(summary.money) : ''}</span>
        </span>
        <span className="done">
          <span style={{ width: `${share * 100}%` }} />
        </span>
      </>
    ),
  };
}
