import { useState } from 'react';
import { modifierBy } from '../../../core/placements';
import type { ModifierWay } from '../../../core/placements';
import { largest, smallest } from '../../../core/order';
import { MAX_MODIFIER } from '../../../core/changes';
import { PLACEMENT_LABELS, PLACEMENTS } from '../../../core/structure';
import type { Placement } from '../../../core/structure';
import { formatCount, formatShare } from '../../../core/units';
import type { PlacementPlan } from '../../../plans/placements';
import { Ask, Check, Choice, MoneyField, ShareField } from '../../shared/kit';
import { editWith } from './placementColumns';
import type { PlacementWork } from './usePlacementWork';
import { NOTHING_CHANGES } from '../../shared/words';

interface ByHandDialogProps {
  work: PlacementWork;
  plan: PlacementPlan;
  /** The rows that are set. */
  rows: number[];
  currency: string;
  onDone: () => void;
}

const WAYS: Record<ModifierWay['way'], string> = {
  value: 'to a value',
  step: 'by a share of the bid there',
  cpc: 'so that a click costs at most',
  acos: 'so that its ACOS is',
  bid: 'so that the bid there is',
};

/** Sets the modifiers of many campaigns at one placement; they show as edited until they are accepted. */
export function ByHandDialog({ work, plan, rows, currency, onDone }: ByHandDialogProps) {
  const settable = PLACEMENTS.filter((_, at) => work.settings.modifiers[at]);
  const [placement, setPlacement] = useState<Placement>(settable[0]);
  const [kind, setKind] = useState<ModifierWay['way']>('value');
  const [share, setShare] = useState(0.2);
  const [micros, setMicros] = useState(500_000);
  const [keepsBases, setKeepsBases] = useState(false);
  const at = PLACEMENTS.indexOf(placement);
  const way: ModifierWay = kind === 'cpc' || kind === 'bid' ? { way: kind, micros } : { way: kind, share };
  const next = rows.map((row) => {
    const { placements, bid } = plan.rows[row];
    const { from, sums, rpc, isSettable } = placements[at];
    const cpc = sums.clicks > 0 ? sums.spend / sums.clicks : 0;
    return { row, from, to: isSettable ? modifierBy(way, { from, bid, cpc, rpc }) : null };
  });
  const known = next.filter(({ to }) => to !== null);
  const moved = known.filter(({ from, to }) => from !== to);
  const unknown = next.length - known.length;
  const set = () => {
    for (const { row, to } of known) {
      const id = plan.rows[row].campaignId;
      work.decisions.edit(id, { ...editWith(work.decisions.edits.get(id), at, to), keepsBases });
    }
  };
  return (
    <Ask
      title={`Set a modifier of ${formatCount(rows.length)} ${rows.length === 1 ? 'campaign' : 'campaigns'}`}
      does={`Set ${formatCount(moved.length)}`}
      isOff={moved.length === 0}
      onDone={(isWanted) => {
        if (isWanted) set();
        onDone();
      }}
    >
      <div className="popForm">
        <Choice label="At" isLabelled value={placement} onChange={(one) => setPlacement(one as Placement)}>
          {settable.map((one) => [one, PLACEMENT_LABELS[one]] as const)}
        </Choice>
        <Choice label="Set it" isLabelled value={kind} onChange={(one) => setKind(one as ModifierWay['way'])}>
          {Object.entries(WAYS)}
        </Choice>
        {way.way === 'cpc' || way.way === 'bid' ? (
          <MoneyField
            label={way.way === 'cpc' ? 'Cost per click' : 'Bid'}
            currency={currency}
            micros={micros}
            least={10_000}
            onMicros={setMicros}
          />
        ) : (
          <ShareField
            label={way.way === 'acos' ? 'ACOS' : 'Per cent'}
            share={share}
            least={way.way === 'step' ? -0.9 : way.way === 'acos' ? 0.01 : 0}
            most={way.way === 'acos' ? 5 : MAX_MODIFIER}
            onShare={setShare}
          />
        )}
        <Check isOn={!keepsBases} onChange={(isOn) => setKeepsBases(!isOn)}>
          Base bids give way, so that the spend stays
        </Check>
      </div>
      <p className="note">
        {moved.length > 0
          ? `From ${range(moved.map(({ from }) => from))} to ${range(moved.map(({ to }) => to!))}.`
          : `${NOTHING_CHANGES}.`}
        {unknown > 0 &&
          ` ${formatCount(unknown)} without clicks there, or whose modifiers are not known, stay as they are.`}{' '}
        A placement is turned down by lowering the base bids and raising the others; it cannot be switched
        off.
      </p>
    </Ask>
  );
}

/** The least and the largest of some shares. */
function range(shares: number[]): string {
  const [least, most] = [smallest(shares), largest(shares)];
  return least === most ? formatShare(least, 0) : `${formatShare(least, 0)}–${formatShare(most, 0)}`;
}
