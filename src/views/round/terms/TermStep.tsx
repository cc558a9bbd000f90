import { useState } from 'react';
import { MEASURES } from '../../../core/measures';
import type { BlockAsks } from '../../../core/negatives';
import type { FieldsOffered } from '../../shared/conditions/words';
import { useFolded } from '../../shared/useFolded';
import { useSteady } from '../../shared/useSteady';
import { StepFrame } from '../frame/StepFrame';
import type { RoundAt } from '../steps/step';
import { EvidencePanel } from './EvidencePanel';
import { ReviewRows } from './ReviewRows';
import type { TermStepSpec } from './termSpec';
import { Thresholds } from './Thresholds';
import { Totals } from './Totals';
import { useTermKeys } from './useTermKeys';
import type { TermWork } from './useTermWork';

interface TermStepProps extends RoundAt {
  work: TermWork;
  spec: TermStepSpec;
}

const WAITING = 'Reading the search terms …';

/** A step that goes through search terms: its picture and rows, and the evidence of the focused row. */
export function TermStep({ account, fault, window, state, tray, work, spec }: TermStepProps) {
  const { engine, review, step, editing, setEditing, decisions, arranged, view, accept } = work;
  const { rows, shown } = view;
  const [isAdding, setAdding] = useState(false);
  const [isFolded, fold] = useFolded('picture-folded');
  useTermKeys({ work, onAdding: setAdding, onFold: fold });
  const { onAsks } = useSteady({
    onAsks: (adGroupId: number, asks: BlockAsks | undefined) => {
      const { [adGroupId]: _old, ...rest } = state.settings.bySource;
      state.setSettings({ bySource: asks ? { ...rest, [adGroupId]: asks } : rest });
    },
  });
  const currency = account?.currency ?? '';
  const summary = arranged?.steps.find((one) => one.step === step);
  const isSelection = rows.selection.size > 0;
  return (
    <StepFrame
      view={view}
      head={{
        account,
        window,
        state,
        sentence: !summary
          ? WAITING
          : !work.hasData
            ? `${spec.label}: no search terms in this window.`
            : summary.left === 0
              ? `${spec.label}: nothing is left at these thresholds.`
              : spec.sentence(summary, currency),
        proposed: summary?.left ?? 0,
        all: { count: review?.table.size ?? 0, word: 'terms' },
        aside: work.asideCount,
        controls: <Thresholds state={state} step={step} currency={currency} />,
        accept:
          arranged && arranged.rows.length > 0 && state.show === 'proposed'
            ? {
                count: isSelection ? rows.selection.size : arranged.rows.length,
                isSelection,
                asks: false,
                run: () => void accept(isSelection ? [...rows.selection] : Array.from(shown)),
              }
            : null,
        below: arranged && <Totals arranged={arranged} currency={currency} />,
      }}
      fields={FIELDS}
      isAdding={isAdding}
      onAdding={setAdding}
      cut={{ target: state.settings.targetAcos, currency }}
      isFolded={isFolded}
      onFold={fold}
      fault={fault ?? work.error}
      waiting={WAITING}
      rows={
        review && arranged ? (
          <ReviewRows
            account={account}
            review={review}
            arranged={arranged}
            state={state}
            spec={spec}
            view={view}
            decisions={decisions}
            staged={work.stagedKeys}
            editing={editing}
            onEditing={setEditing}
            onAccept={(row) => void accept([row])}
          />
        ) : null
      }
      evidence={
        <EvidencePanel
          review={review}
          engine={engine}
          row={rows.focusedRow}
          step={step}
          settings={state.settings}
          onAsks={onAsks}
          decisions={decisions}
          version={tray.changes.length}
        />
      }
    />
  );
}

const FIELDS: FieldsOffered = {
  numbers: MEASURES.map(({ key }) => key),
  texts: ['term', 'place'],
  choices: ['termKind', 'seen'],
};
