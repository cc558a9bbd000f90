import Button from '@mui/material/Button';
import { useState } from 'react';
import { PLACEMENT_LABELS, PLACEMENTS } from '../../../core/structure';
import { formatMoney } from '../../../core/units';
import { useFolded } from '../../shared/useFolded';
import { CAMPAIGN_FIELDS } from '../campaigns';
import { StepFrame } from '../frame/StepFrame';
import { useAskedRows } from '../frame/useAskedRows';
import type { RoundAt } from '../steps/step';
import { AcceptPlacements } from './AcceptPlacements';
import { ByHandDialog } from './ByHandDialog';
import { PlacementEvidence } from './PlacementEvidence';
import { PlacementRows } from './PlacementRows';
import { usePlacementKeys } from './usePlacementKeys';
import type { PlacementWork } from './usePlacementWork';
import type { PlacementPlan } from '../../../plans/placements';

const REST = PLACEMENTS.indexOf('rest');
const WAITING = 'Working out what clicks are worth by placement …';

/** The step of placements: modifiers and the base bids under them, campaign by campaign. */
export function PlacementStep({ account, fault, window, state, work }: RoundAt & { work: PlacementWork }) {
  const { loaded, plan, arranged, view, decisions } = work;
  const { rows, shown } = view;
  const [isAdding, setAdding] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const [isByHand, setByHand] = useState(false);
  const [isFolded, fold] = useFolded('picture-folded');
  usePlacementKeys({
    work,
    onAsk: () => setAsking(true),
    onByHand: () => setByHand(true),
    onAdding: setAdding,
    onFold: fold,
  });
  const currency = account?.currency ?? '';
  const isSelection = rows.selection.size > 0;
  const chosen = isSelection ? rows.chosen() : Array.from(shown);
  const asked = useAskedRows(isAsking, work.isCurrent, loaded?.loadId, () => chosen);
  const focused = rows.focusedRow;
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
          controls: (
            <Button
              onClick={() => setByHand(true)}
              disabled={!plan || !work.isOffered || shown.length === 0}
              title="Set modifiers of the chosen campaigns by hand (h)"
            >
              By hand …
            </Button>
          ),
          below: plan && work.isOffered && <AccountFactors {...plan} />,
          accept:
            arranged && shown.length > 0 && state.show === 'proposed'
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
            <PlacementRows account={account} state={state} work={work} table={loaded.table} plan={plan} />
          ) : null
        }
        evidence={<PlacementEvidence account={account} work={work} row={focused} />}
      />
      {asked && plan && loaded && (
        <AcceptPlacements
          plan={plan}
          table={loaded.table}
          edits={decisions.edits}
          rows={asked}
          currency={currency}
          onDone={(wanted) => {
            setAsking(false);
            if (wanted) void work.accept(wanted);
          }}
        />
      )}
      {isByHand && plan && account && (
        <ByHandDialog
          work={work}
          plan={plan}
          rows={rows.chosen()}
          currency={currency}
          onDone={() => setByHand(false)}
        />
      )}
    </>
  );
}

function sentenceOf({ arranged, hasClicks, isOffered, isTold }: PlacementWork, currency: string): string {
  if (!arranged) return WAITING;
  if (!isOffered) return 'This market sets no bids by placement: there is nothing to decide here.';
  if (!hasClicks) return 'Placements are compared here once reports by placement are in.';
  if (!isTold) return 'Modifiers are proposed here once those that stand are known.';
  const { left, money } = arranged;
  if (left === 0) return 'No placement wants another modifier.';
  return `Sales +${formatMoney(money)} ${currency} a month for the same spend.`;
}

/** What a click is worth at each placement over the whole account, and for whom it is another. */
function AccountFactors({ account, unlike }: Pick<PlacementPlan, 'account' | 'unlike'>) {
  const word = ({ ratio, low, high }: PlacementPlan['account'][number]) =>
    `${ratio.toFixed(2)} (${low.toFixed(2)}–${high.toFixed(2)})`;
  const whole = PLACEMENTS.flatMap((placement, at) =>
    at === REST ? [] : [`${PLACEMENT_LABELS[placement]} ${word(account[at])}`],
  );
  const others = unlike.map(
    (one) => `${one.group}, ${PLACEMENT_LABELS[PLACEMENTS[one.placement]]} ${word(one)}`,
  );
  const told = `A click is worth, of one in the rest: ${whole.join(', ')}${others.length > 0 ? `. Unlike that: ${others.join('; ')}` : ''}.`;
  return (
    <p className="note cut" title={told}>
      {told}
    </p>
  );
}
