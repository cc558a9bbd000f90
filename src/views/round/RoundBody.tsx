import { useMemo, useState } from 'react';
import { CutLine } from '../../charts';
import type { Area } from '../../charts';
import type { AccountInfo, StepName } from '../../contract/api';
import { recall, remember } from '../shared/urlState';
import type { TrayState } from '../shared/useTray';
import { Conditions } from '../shared/conditions/Conditions';
import type { FieldsOffered } from '../shared/conditions/words';
import { MEASURES } from '../../core/measures';
import { EvidencePanel } from './EvidencePanel';
import { OverviewStep } from './overview/OverviewStep';
import { ReviewRows } from './ReviewRows';
import { pointsOf, rowsInArea } from '../shared/picture/points';
import { sourceOf } from './sourceOf';
import { StepHead } from './StepHead';
import { Steps } from './Steps';
import { useDecisions } from './useDecisions';
import { useArranged } from './useReview';
import type { ReviewState } from './useReview';
import { useRoundKeys } from './useRoundKeys';
import { useRows } from '../shared/useRows';
import type { RoundState } from './useRoundState';
import { rowKey } from './worker/types';

interface RoundBodyProps {
  account: AccountInfo | undefined;
  error: Error | null;
  state: RoundState;
  loaded: ReviewState;
  tray: TrayState;
  onWindow: () => void;
}

const PICTURE_HEIGHT = 224;

/** Steps, the step's picture and rows, and the evidence of the focused row. */
export function RoundBody({ account, error: fault, state, loaded, tray, onWindow }: RoundBodyProps) {
  const { engine, review } = loaded;
  const [area, setArea] = useState<Area | null>(null);
  const [editing, setEditing] = useState<number | null>(null);
  const [isAdding, setAdding] = useState(false);
  const [isFolded, setFolded] = useState(() => recall('picture-folded', false));
  const decisions = useDecisions(review, state.step, tray, state.settings.targetAcos);
  const stagedKeys = [...new Set([...keysOf(tray), ...decisions.underWay])];
  const { arranged, isCurrent } = useArranged(loaded, {
    step: state.step,
    show: state.show,
    settings: state.settings,
    conditions: state.conditions,
    sort: state.sort,
    staged: stagedKeys,
    aside: decisions.asideKeys,
  });

  const shown = useMemo(
    () =>
      arranged && review && area
        ? rowsInArea(arranged.rows, sourceOf(review), area)
        : (arranged?.rows ?? NO_ROWS),
    [arranged, review, area],
  );
  const rows = useRows(shown, state.step);
  const points = useMemo(
    () => (arranged && review ? pointsOf(arranged.rows, sourceOf(review)) : null),
    [arranged, review],
  );

  const proposalsFor = async (list: number[]) => {
    const known = list.map((row) => arranged?.proposals.get(row));
    const missing = list.filter((_, at) => known[at] === undefined);
    const made =
      missing.length > 0 ? await engine.propose(review!.loadId, state.step, missing, state.settings) : [];
    return list.map((row, at) => known[at] ?? made.find((one) => one.row === row)!);
  };
  const accept = async (list: number[]) => {
    await decisions.accept(await proposalsFor(list));
    rows.clearSelection();
  };
  useRoundKeys({
    state,
    rows,
    decisions,
    arranged,
    isCurrent,
    accept,
    area,
    onArea: setArea,
    points,
    onWindow,
    onEditing: setEditing,
    onAdding: setAdding,
    onFold: fold,
  });

  function fold() {
    remember('picture-folded', !isFolded);
    setFolded(!isFolded);
  }

  const staged = (step: StepName) => stagedKeys.filter((key) => key.startsWith(`${step}:`)).length;
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: state.isOverview ? '224px minmax(0, 1fr)' : '224px minmax(0, 1fr) 340px',
        minHeight: 0,
      }}
    >
      <Steps
        isOverview={state.isOverview}
        onOverview={state.setOverview}
        step={state.step}
        summaries={arranged?.steps ?? []}
        staged={{ harvest: staged('harvest'), negatives: staged('negatives') }}
        currency={account?.currency ?? ''}
        onStep={state.setStep}
      />
      {state.isOverview ? (
        <OverviewStep account={account} from={state.from} to={state.to} />
      ) : (
        <>
          <main
            style={{
              display: 'grid',
              gridTemplate: 'auto auto auto minmax(0, 1fr) / minmax(0, 1fr)',
              minHeight: 0,
              overflow: 'hidden',
            }}
          >
            <StepHead
              state={state}
              arranged={arranged}
              total={review?.table.size ?? 0}
              asideCount={decisions.asideKeys.filter((key) => key.startsWith(`${state.step}:`)).length}
              currency={account?.currency ?? ''}
              selected={rows.selection.size}
              onAcceptAll={() =>
                void accept(rows.selection.size > 0 ? [...rows.selection] : Array.from(shown))
              }
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
            <div style={{ borderBottom: '1px solid var(--hairline)', minHeight: 20, position: 'relative' }}>
              <button type="button" onClick={fold} title="f" style={FOLD}>
                {isFolded ? 'Show the cut line' : 'Fold'}
              </button>
              {!isFolded && (
                <div style={{ height: PICTURE_HEIGHT }}>
                  {points && account && (
                    <CutLine
                      points={points}
                      target={state.settings.targetAcos}
                      currency={account.currency}
                      height={PICTURE_HEIGHT}
                      focusedRow={rows.focusedRow}
                      area={area}
                      onArea={setArea}
                      onPick={rows.focusRow}
                    />
                  )}
                </div>
              )}
            </div>
            {review && arranged ? (
              <ReviewRows
                account={account}
                review={review}
                arranged={arranged}
                state={state}
                shown={shown}
                rows={rows}
                decisions={decisions}
                editing={editing}
                onEditing={setEditing}
                onAccept={(row) => void accept([row])}
              />
            ) : (
              <div
                style={{ padding: 24 }}
                role={fault ? 'alert' : 'status'}
                className={fault ? 'over' : 'faint'}
              >
                {fault ? fault.message : 'Reading the search terms …'}
              </div>
            )}
          </main>
          <EvidencePanel
            review={review}
            engine={engine}
            row={rows.focusedRow}
            step={state.step}
            settings={state.settings}
            decisions={decisions}
            version={tray.changes.length}
          />
        </>
      )}
    </div>
  );
}

const NO_ROWS = new Int32Array();
const FIELDS: FieldsOffered = {
  numbers: MEASURES.map(({ key }) => key),
  texts: ['term', 'place'],
  choices: [],
};
const FOLD = {
  all: 'unset',
  cursor: 'pointer',
  position: 'absolute',
  right: 16,
  top: 1,
  fontSize: 12,
  zIndex: 1,
  color: 'var(--faint)',
} as const;

/** Rows that are staged or under way. */
function keysOf(tray: TrayState): string[] {
  const keys = [...tray.changes, ...tray.sending].flatMap(({ figures }) =>
    figures.step && figures.adGroupId && figures.termId
      ? [rowKey(figures.step, figures.adGroupId, figures.termId)]
      : [],
  );
  return [...new Set(keys)];
}
