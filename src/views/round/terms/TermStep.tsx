import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { MEASURES } from '../../../core/measures';
import { Conditions } from '../../shared/conditions/Conditions';
import type { FieldsOffered } from '../../shared/conditions/words';
import { Trouble } from '../../shared/Trouble';
import { useFolded } from '../../shared/useFolded';
import { CutPane } from '../CutPane';
import { STEP_GRID } from '../look';
import type { RoundState } from '../useRoundState';
import { EvidencePanel } from './EvidencePanel';
import { ReviewRows } from './ReviewRows';
import { StepHead } from './StepHead';
import { useTermKeys } from './useTermKeys';
import type { TermWork } from './useTermWork';

interface TermStepProps {
  account: AccountInfo | undefined;
  fault: Error | null;
  state: RoundState;
  work: TermWork;
  /** Changes when staged changes do. */
  version: number;
}

/** A step that goes through search terms: its picture and rows, and the evidence of the focused row. */
export function TermStep({ account, fault: outer, state, work, version }: TermStepProps) {
  const { engine, review, step, area, setArea, editing, setEditing, decisions, arranged, shown, rows } = work;
  const { points, accept } = work;
  const fault = outer ?? work.error;
  const [isAdding, setAdding] = useState(false);
  const [isFolded, fold] = useFolded('picture-folded');
  useTermKeys({ work, onAdding: setAdding, onFold: fold });
  return (
    <>
      <main style={STEP_GRID}>
        <StepHead
          state={state}
          step={step}
          arranged={arranged}
          total={review?.table.size ?? 0}
          asideCount={decisions.asideKeys.filter((key) => key.startsWith(`${step}:`)).length}
          currency={account?.currency ?? ''}
          selected={rows.selection.size}
          onAcceptAll={() => void accept(rows.selection.size > 0 ? [...rows.selection] : Array.from(shown))}
        />
        <Conditions
          fields={FIELDS}
          conditions={state.conditions}
          onChange={state.setConditions}
          isAdding={isAdding}
          onAdding={setAdding}
          brushed={area ? shown.length : null}
          onClearBrush={() => setArea(null)}
        />
        <CutPane
          points={points}
          target={state.settings.targetAcos}
          currency={account?.currency ?? ''}
          focusedRow={rows.focusedRow}
          area={area}
          onArea={setArea}
          onPick={rows.focusRow}
          isFolded={isFolded}
          onFold={fold}
        />
        {fault ? (
          <Trouble error={fault} />
        ) : review && arranged ? (
          <ReviewRows
            account={account}
            review={review}
            arranged={arranged}
            state={state}
            step={step}
            shown={shown}
            rows={rows}
            decisions={decisions}
            staged={work.stagedKeys}
            editing={editing}
            onEditing={setEditing}
            onAccept={(row) => void accept([row])}
          />
        ) : (
          <div style={{ padding: 24 }} role="status" className="faint">
            Reading the search terms …
          </div>
        )}
      </main>
      <EvidencePanel
        review={review}
        engine={engine}
        row={rows.focusedRow}
        step={step}
        settings={state.settings}
        decisions={decisions}
        version={version}
      />
    </>
  );
}

const FIELDS: FieldsOffered = {
  numbers: MEASURES.map(({ key }) => key),
  texts: ['term', 'place'],
  choices: ['termKind', 'seen'],
};
