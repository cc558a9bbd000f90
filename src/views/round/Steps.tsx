import { memo, useMemo } from 'react';
import { formatCount, formatMoney } from '../../core/units';
import { PartList } from '../shared/kit';
import type { PartEntry, PartListProps } from '../shared/kit';
import { useSteady } from '../shared/useSteady';
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
  const stand = JSON.stringify(steps.map((step) => standOf(step, workOf(step))));
  const entries = useMemo(
    () =>
      (JSON.parse(stand) as Stand[]).map((one, index) => ({
        key: steps[index].name,
        keys: String(index + 1),
        ...entryOf(steps[index], index + 1, one, currency),
      })),
    [steps, stand, currency],
  );
  const { choose } = useSteady({ choose: (name: PartEntry['key']) => onStep(String(name)) });
  return <StepList entries={entries} current={shown.name} onChoose={choose} />;
}

/** It stays as it is while others' answers come that say nothing new of a step. */
const StepList = memo(function StepList(at: Pick<PartListProps, 'entries' | 'current' | 'onChoose'>) {
  return (
    <PartList title="Round" label="Steps" marks="step" {...at}>
      <TourOffer />
    </PartList>
  );
});

/** How a step stands, in figures. */
interface Stand {
  /** Null: not known yet. */
  left: number | null;
  money: number;
  staged: number;
  hasData: boolean;
}

function standOf({ name }: RoundStep, { left, staged, hasData }: WorkState): Stand {
  const summary = left.find(({ step }) => step === name);
  return {
    left: summary?.left ?? null,
    money: summary?.money ?? 0,
    staged: staged[name] ?? 0,
    hasData,
  };
}

/** How a step stands: what is left in it, its money, and how much of it is done. */
function entryOf(
  { label, money: of }: RoundStep,
  digit: number,
  { left, money, staged, hasData }: Stand,
  currency: string,
) {
  const all = (left ?? 0) + staged;
  // Nothing left is all done, once it is known; without data nothing is.
  const isDone = left !== null && hasData ? 1 : 0;
  const share = all === 0 ? isDone : staged / all;
  return {
    label: (
      <span className="spread">
        <span>
          <span className="faint">{digit}</span> {label}
        </span>
        {of !== null && hasData && <span className="figure">{left === null ? '…' : formatCount(left)}</span>}
      </span>
    ),
    does: of !== null && (
      <>
        <span className="spread small">
          <span>{hasData ? `${currency} ${of}` : 'no data yet'}</span>
          <span className="figure">{hasData && left !== null ? formatMoney(money) : ''}</span>
        </span>
        <span className="done">
          <span style={{ width: `${share * 100}%` }} />
        </span>
      </>
    ),
  };
}
