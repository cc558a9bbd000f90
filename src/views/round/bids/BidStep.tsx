import { useMemo, useState } from 'react';
import { NUMBER_FIELDS, PLAN_FIELDS } from '../../../core/conditions';
import type { PlanKey } from '../../../core/conditions';
import { formatCount, formatMoney } from '../../../core/units';
import { actOf, toBidChange } from '../../../plans/bids';
import { targetSubject } from '../../../contract/aside';
import type { FieldsOffered } from '../../shared/conditions/words';
import { clickPriceWords } from '../../shared/offered';
import { useFolded } from '../../shared/useFolded';
import { useSteady } from '../../shared/useSteady';
import { useRemembered } from '../../shared/useRemembered';
import { StepFrame } from '../frame/StepFrame';
import { useAskedRows } from '../frame/useAskedRows';
import { useMadeAhead } from '../frame/useMadeAhead';
import type { RoundAt } from '../steps/step';
import { AcceptDialog } from './AcceptDialog';
import type { AskedAct } from './AcceptDialog';
import { BidEvidence } from './BidEvidence';
import { BidRows } from './BidRows';
import type { BidStepSpec } from './bidSpec';
import { FirstRound } from './FirstRound';
import { LossDialog } from '../../shared/losses/LossDialog';
import { PaceBar } from './PaceBar';
import { PlanColumnsMenu } from './PlanColumnsMenu';
import { SecondSteps, testingSentence } from './Testing';
import { TryBar } from './TryBar';
import { useBidKeys } from './useBidKeys';
import type { BidWork } from './useBidWork';
import { useTrial } from './useTrial';

interface BidStepProps extends RoundAt {
  work: BidWork;
  spec: BidStepSpec;
}

/** A step that tunes bids: the cut line, its targets with what is proposed, and the evidence of the focused one. */
export function BidStep({ account, fault, window, state, work, spec }: BidStepProps) {
  const { loaded, plan, arranged, decisions, view, step, settings } = work;
  const { rows, shown } = view;
  const [isAdding, setAdding] = useState(false);
  const [editing, setEditing] = useState<number | null>(null);
  const [isAsking, setAsking] = useState(false);
  const [lossOf, setLossOf] = useState<number[] | null>(null);
  const [isFolded, fold] = useFolded('picture-folded');
  const [columns, showColumns] = useRemembered<PlanKey[]>('plan-columns', []);
  const { trial, tryTarget } = useTrial(work, account?.id);
  const table = loaded?.table;
  const currency = account?.currency ?? '';
  const onePrice = clickPriceWords(account);

  // Asked for while a step is still arranged: the question comes with its rows.
  const asked = useAskedRows(isAsking, work.isCurrent, loaded?.loadId, () =>
    rows.selection.size > 0 ? rows.chosen() : Array.from(shown),
  );
  const { edits } = decisions;
  const acts = useMemo((): AskedAct[] => {
    if (!asked || !plan || !table) return [];
    const { name, place } = table;
    const { clicks, orders } = plan;
    const more = (row: number) => ({
      name: name[row],
      place: place[row],
      clicks: clicks[row],
      orders: orders[row],
    });
    return asked.map((row) => ({ ...actOf(plan, table, edits, row), ...more(row) }));
  }, [asked, plan, table, edits]);
  const acceptedAs = useMemo(
    () => (row: number) => {
      const change = plan && table && toBidChange(actOf(plan, table, edits, row), plan, table, edits, step);
      return change ? [{ subject: targetSubject(table.targetId[row]), changes: [change] }] : [];
    },
    [plan, table, edits, step],
  );
  const acceptance = useMadeAhead(asked, acceptedAs);
  const accept = (list: number[]) => {
    const made = list.flatMap(acceptance);
    rows.clearSelection();
    void decisions.accept(made);
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

  const focused = rows.focusedRow;
  const { onRow } = useSteady({ onRow: rows.focusRow });
  const margin = focused !== null && table ? table.margin[focused] : NaN;
  const summary = arranged?.steps.find((one) => one.step === step);
  const isSelection = rows.selection.size > 0;
  const isTesting = state.show === 'testing';
  const sentenceNow = () => {
    if (!summary || !arranged) return WAITING;
    if (!work.hasData) return NO_BIDS;
    if (onePrice && summary.left === 0) return NOTHING_TO_PAUSE;
    return isTesting ? testingSentence(arranged.testing, currency) : sentenceOf(spec, summary, currency);
  };
  return (
    <>
      <StepFrame
        view={view}
        head={{
          account,
          window,
          state,
          sentence: sentenceNow(),
          proposed: summary?.left ?? 0,
          all: { count: arranged?.all ?? 0, word: 'targets' },
          aside: decisions.asideIds.length,
          testing: spec.hasTesting ? (arranged?.testing.left ?? 0) : undefined,
          controls: (
            <>
              {!onePrice && <PaceBar account={account} work={work} />}
              <PlanColumnsMenu shown={columns} onShown={showColumns} />
            </>
          ),
          below: (
            <>
              {onePrice ? <p className="note">{onePrice}</p> : <FirstRound work={work} />}
              <SecondSteps summary={summary} work={work} />
            </>
          ),
          accept:
            shown.length > 0 && (state.show === 'proposed' || isTesting)
              ? {
                  count: isSelection ? rows.selection.size : shown.length,
                  isSelection,
                  asks: true,
                  run: () => setAsking(true),
                }
              : null,
        }}
        fields={FIELDS}
        isAdding={isAdding}
        onAdding={setAdding}
        cut={{
          target: account?.targetAcos ?? 0.25,
          currency,
          breakEven: Number.isNaN(margin) ? null : margin,
          tried: trial?.acos ?? null,
          onTry: tryTarget,
        }}
        belowCut={
          trial && account && <TryBar account={account} trial={trial} onBack={() => tryTarget(null)} />
        }
        isFolded={isFolded}
        onFold={fold}
        fault={fault ?? work.error}
        waiting={WAITING}
        rows={
          loaded && plan && arranged && account ? (
            <BidRows
              account={account}
              state={state}
              work={work}
              spec={spec}
              more={columns}
              table={loaded.table}
              plan={plan}
              editing={editing}
              onEditing={setEditing}
              onAccept={(row) => accept([row])}
            />
          ) : null
        }
        evidence={
          <BidEvidence
            account={account}
            engine={work.engine}
            loaded={loaded}
            plan={plan}
            settings={settings}
            decisions={decisions}
            row={focused}
            onRow={onRow}
            onLoss={setLossOf}
          />
        }
      />
      {asked && plan && account && (
        <AcceptDialog
          acts={acts}
          limits={settings.limits}
          currency={currency}
          onDone={(wanted) => {
            if (wanted) accept(wanted);
            setAsking(false);
          }}
        />
      )}
      {lossOf && account && (
        <LossDialog
          what={lossOf.length === 1 ? 'this target' : `${lossOf.length} targets`}
          today={account.today}
          currency={account.currency}
          onDone={(loss) => {
            if (loss) void decisions.put(lossOf, 'accepted-loss', loss);
            setLossOf(null);
          }}
        />
      )}
    </>
  );
}

const NO_BIDS = 'Bids are tuned here once they are known.';
const NOTHING_TO_PAUSE = 'No target is unlikely to earn the price of its clicks.';
const WAITING = 'Working out what every target is worth …';

const sentenceOf = (
  { sentence }: BidStepSpec,
  { left, money }: { left: number; money: number },
  currency: string,
) =>
  sentence({
    left,
    count: left === 1 ? 'One target' : `${formatCount(left)} targets`,
    money: `${formatMoney(money)} ${currency}`,
  });

const FIELDS: FieldsOffered = {
  numbers: [...PLAN_FIELDS, ...NUMBER_FIELDS].map(({ key }) => key),
  texts: ['name', 'place', 'product', 'line'],
  choices: ['kind', 'evidence', 'standing', 'running', 'campaignState', 'chosen', 'flex', 'aim'],
};
