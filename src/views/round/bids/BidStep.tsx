import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { NUMBER_FIELDS } from '../../../core/conditions';
import { Conditions } from '../../shared/conditions/Conditions';
import type { FieldsOffered } from '../../shared/conditions/words';
import { Trouble } from '../../shared/Trouble';
import { useFolded } from '../../shared/useFolded';
import { CutPane } from '../CutPane';
import { STEP_GRID } from '../look';
import type { RoundState } from '../useRoundState';
import { AcceptDialog } from './AcceptDialog';
import { actOf, sumActs, toBidChange } from '../../../plans/bids';
import type { BidAct } from '../../../plans/bids';
import { BidEvidence } from './BidEvidence';
import { BidHead } from './BidHead';
import { BidRows } from './BidRows';
import { LossDialog } from './LossDialog';
import { TryBar } from './TryBar';
import { useBidKeys } from './useBidKeys';
import type { BidWork } from './useBidWork';
import { useTrial } from './useTrial';

interface BidStepProps {
  account: AccountInfo | undefined;
  fault: Error | null;
  state: RoundState;
  work: BidWork;
}

/** A step that tunes bids: the cut line, its targets with what is proposed, and the evidence of the focused one. */
export function BidStep({ account, fault: outer, state, work }: BidStepProps) {
  const { loaded, plan, arranged, decisions, rows, shown, area, setArea, points, step, settings } = work;
  const [isAdding, setAdding] = useState(false);
  const [editing, setEditing] = useState<number | null>(null);
  const [isAsking, setAsking] = useState(false);
  const [lossOf, setLossOf] = useState<number[] | null>(null);
  const [isFolded, fold] = useFolded('picture-folded');
  const { trial, tryTarget } = useTrial(work);
  const table = loaded?.table;
  const fault = outer ?? work.error;

  const actsOf = (list: number[]): BidAct[] =>
    plan && table ? list.map((row) => actOf(plan, table, decisions.edits, row)) : [];
  const accept = (list: number[]) => {
    if (!plan || !table) return;
    const made = actsOf(list).flatMap((act) => {
      const change = toBidChange(act, plan, table, decisions.edits, step);
      return change ? [{ change, targetId: act.targetId }] : [];
    });
    rows.clearSelection();
    void decisions.accept(
      made.map(({ change }) => change),
      made.map(({ targetId }) => targetId),
    );
  };
  const idsOf = (list: number[]) => (table ? list.map((row) => table.targetId[row]) : []);
  useBidKeys({
    work,
    accept,
    onAsk: () => setAsking(true),
    onLoss: () => rows.chosen().length > 0 && setLossOf(idsOf(rows.chosen())),
    onEditing: setEditing,
    onAdding: setAdding,
    onFold: fold,
    trial,
    tryTarget,
  });

  // Asked for while a step is still arranged: the question comes with its rows.
  const asked =
    !isAsking || !work.isCurrent ? null : rows.selection.size > 0 ? rows.chosen() : Array.from(shown);
  const focused = rows.focusedRow;
  const margin = focused !== null && table ? table.margin[focused] : NaN;
  return (
    <>
      <main style={STEP_GRID}>
        <BidHead account={account} state={state} work={work} onAccept={() => setAsking(true)} />
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
          target={account?.targetAcos ?? 0.25}
          currency={account?.currency ?? ''}
          focusedRow={focused}
          area={area}
          onArea={setArea}
          onPick={rows.focusRow}
          breakEven={Number.isNaN(margin) ? null : margin}
          tried={trial?.acos ?? null}
          onTry={tryTarget}
          isFolded={isFolded}
          onFold={fold}
        >
          {trial && account && <TryBar account={account} trial={trial} onBack={() => tryTarget(null)} />}
        </CutPane>
        {fault ? (
          <Trouble error={fault} />
        ) : loaded && plan && arranged && account ? (
          <BidRows
            account={account}
            state={state}
            work={work}
            table={loaded.table}
            plan={plan}
            editing={editing}
            onEditing={setEditing}
            onAccept={(row) => accept([row])}
          />
        ) : (
          <div style={{ padding: 24 }} role="status" className="faint">
            Working out what every target is worth …
          </div>
        )}
      </main>
      <BidEvidence account={account} work={work} onLoss={setLossOf} />
      {asked && account && (
        <AcceptDialog
          summary={sumActs(actsOf(asked), settings.limits)}
          currency={account.currency}
          onDone={(isWanted) => {
            if (isWanted) accept(asked);
            setAsking(false);
          }}
        />
      )}
      {lossOf && account && (
        <LossDialog
          count={lossOf.length}
          today={account.today}
          onDone={(loss) => {
            if (loss) void decisions.put(lossOf, 'accepted-loss', loss);
            setLossOf(null);
          }}
        />
      )}
    </>
  );
}

const FIELDS: FieldsOffered = {
  numbers: NUMBER_FIELDS.map(({ key }) => key),
  texts: ['term', 'place'],
  choices: ['kind', 'evidence', 'standing'],
};
