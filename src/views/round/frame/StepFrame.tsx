import type { ReactNode } from 'react';
import type { CutLineProps } from '../../../charts';
import { Conditions } from '../../shared/conditions/Conditions';
import type { FieldsOffered } from '../../shared/conditions/words';
import type { StepRowsState } from '../useStepRows';
import { CutPane } from './CutPane';
import { StepHead } from './StepHead';
import type { StepHeadProps } from './StepHead';
import { Loading, Trouble } from '../../shared/kit';
import { useSteady } from '../../shared/useSteady';

interface StepFrameProps {
  view: StepRowsState;
  head: Omit<StepHeadProps, 'onCondition'>;
  /** What conditions can be about. */
  fields: FieldsOffered;
  isAdding: boolean;
  onAdding: (isAdding: boolean) => void;
  cut: Pick<CutLineProps, 'target' | 'currency' | 'breakEven' | 'tried' | 'onTry'>;
  belowCut?: ReactNode;
  isFolded: boolean;
  onFold: () => void;
  fault: Error | null;
  /** What is being waited for while there are no rows yet. */
  waiting: string;
  /** The rows; null while they are worked out. */
  rows: ReactNode | null;
  evidence: ReactNode;
}

/** What every step of rows is made of: head, conditions, the cut line, the rows, and the evidence of the focused one at the right. */
export function StepFrame(props: StepFrameProps) {
  const { view, head, fields, isAdding, onAdding, cut, fault, waiting, rows, evidence } = props;
  const { area, setArea, shown, points } = view;
  const { state } = head;
  const { onTry, ...line } = cut;
  const acts = useSteady({
    onTry: (acos: number | null) => onTry?.(acos),
    onPick: view.rows.focusRow,
    onFold: props.onFold,
  });
  return (
    <>
      <main className="stepGrid">
        <StepHead {...head} onCondition={() => onAdding(true)} />
        <Conditions
          isQuiet
          fields={fields}
          conditions={state.conditions}
          onChange={state.setConditions}
          isAdding={isAdding}
          onAdding={onAdding}
          brushed={null}
        />
        <CutPane
          points={points}
          {...line}
          onTry={onTry && acts.onTry}
          focusedRow={view.rows.focusedRow}
          area={area}
          onArea={setArea}
          onPick={acts.onPick}
          brushed={area ? shown.length : null}
          isFolded={props.isFolded}
          onFold={acts.onFold}
        >
          {props.belowCut}
        </CutPane>
        {fault ? <Trouble error={fault} /> : (rows ?? <Loading>{waiting}</Loading>)}
      </main>
      {evidence}
    </>
  );
}
