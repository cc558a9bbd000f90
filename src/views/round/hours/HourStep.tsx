import { useState } from 'react';
import { formatMoney, formatShare } from '../../../core/units';
import { pageLink } from '../../shared/frame/pages';
import { PlaceLink } from '../../shared/kit';
import { useFolded } from '../../shared/useFolded';
import { CAMPAIGN_FIELDS } from '../campaigns';
import { StepFrame } from '../frame/StepFrame';
import { useAskedRows } from '../frame/useAskedRows';
import type { RoundAt } from '../steps/step';
import { AcceptHours } from './AcceptHours';
import { HourEvidence } from './HourEvidence';
import { HourRows } from './HourRows';
import { useHourKeys } from './useHourKeys';
import type { HourWork } from './useHourWork';
import { ADDING_HOURS } from '../../shared/words';

const WAITING = ADDING_HOURS;

/** The step of hours: which campaigns are to follow a schedule, because their clicks surely sell better at some hours than at others. */
export function HourStep({ account, fault, window, state, work }: RoundAt & { work: HourWork }) {
  const { loaded, plan, arranged, view, decisions } = work;
  const { rows, shown } = view;
  const [isAdding, setAdding] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const [isFolded, fold] = useFolded('picture-folded');
  useHourKeys({ work, onAsk: () => setAsking(true), onAdding: setAdding, onFold: fold });
  const currency = account?.currency ?? '';
  const isSelection = rows.selection.size > 0;
  const chosen = isSelection ? rows.chosen() : Array.from(shown);
  const asked = useAskedRows(isAsking, work.isCurrent, loaded?.loadId, () => chosen);
  return (
    <>
      <StepFrame
        view={view}
        head={{
          account,
          window,
          state,
          sentence: sentenceOf(work, currency),
          proposed: arranged?.left ?? 0,
          all: { count: arranged?.all ?? 0, word: 'campaigns' },
          aside: decisions.asideIds.length,
          controls: account && (
            <PlaceLink href={pageLink('hours', account.id)}>Hours and schedules</PlaceLink>
          ),
          below: plan?.worth.isWorthIt && work.isOffered && (
            <p className="note totals">
              {plan.proposal.blocks} blocks keep {formatShare(plan.proposal.gain)} of the{' '}
              {formatShare(plan.proposal.wholeGain)} that bids by single hours would gain.
            </p>
          ),
          accept:
            plan && shown.length > 0 && state.show === 'proposed'
              ? { count: chosen.length, isSelection, asks: true, run: () => setAsking(true) }
              : null,
        }}
        fields={CAMPAIGN_FIELDS}
        isAdding={isAdding}
        onAdding={setAdding}
        cut={{ target: account?.targetAcos ?? 0.25, currency }}
        isFolded={isFolded}
        onFold={fold}
        fault={fault ?? work.error}
        waiting={WAITING}
        rows={
          account && loaded && plan && arranged ? (
            <HourRows account={account} state={state} work={work} table={loaded.table} />
          ) : null
        }
        evidence={<HourEvidence account={account} work={work} row={rows.focusedRow} />}
      />
      {asked && plan && (
        <AcceptHours
          rows={asked.flatMap((row) => work.rowOf(row) ?? [])}
          currency={currency}
          onDone={(isWanted) => {
            setAsking(false);
            if (isWanted) void work.accept(asked);
          }}
        />
      )}
    </>
  );
}

function sentenceOf({ arranged, plan, hasData, isOffered }: HourWork, currency: string): string {
  if (!arranged || !plan) return WAITING;
  if (!hasData) return 'Schedules are proposed here once hours are known.';
  if (!isOffered) return 'This market has no schedules by hour: there is nothing to decide here.';
  if (!plan.worth.isWorthIt) return 'No hours are worth a schedule.';
  if (arranged.left === 0) return 'Every campaign follows what its hours say.';
  return `Sales +${formatMoney(arranged.money)} ${currency} a month at the same ACOS.`;
}
