import type { LensTable } from '../../../core/lenses';
import { PLACEMENTS } from '../../../core/structure';
import { counted, formatCount, formatMoney, formatShare } from '../../../core/units';
import { placementAct } from '../../../plans/placements';
import type { PlacementEdits, PlacementPlan } from '../../../plans/placements';
import { Ask } from '../../shared/kit';

interface AcceptPlacementsProps {
  plan: PlacementPlan;
  table: LensTable;
  edits: PlacementEdits;
  rows: number[];
  currency: string;
  /** With the rows that are wanted; null: not now. */
  onDone: (rows: number[] | null) => void;
}

/** What accepting the modifiers of many campaigns comes to, before it is done. */
export function AcceptPlacements({ plan, table, edits, rows, currency, onDone }: AcceptPlacementsProps) {
  const acts = rows
    .map((row) => ({ row, act: placementAct(plan.rows[row], edits.get(table.campaignId[row])) }))
    .filter(({ row, act }) => plan.rows[row].placements.some(({ from }, at) => from !== act.to[at]));
  const sum = { up: 0, down: 0, targets: 0, spend: 0, sales: 0 };
  for (const { row, act } of acts) {
    PLACEMENTS.forEach((_, at) => {
      const { from } = plan.rows[row].placements[at];
      if (act.to[at] > from) sum.up += 1;
      if (act.to[at] < from) sum.down += 1;
    });
    if (act.bases !== 1) sum.targets += plan.rows[row].targets;
    sum.spend += act.after.spend - act.now.spend;
    sum.sales += act.after.sales - act.now.sales;
  }
  return (
    <Ask
      title={`Set the placements of ${counted(acts.length, 'campaign')}?`}
      does={`Accept ${formatCount(acts.length)}`}
      isOff={acts.length === 0}
      onDone={(isWanted) => onDone(isWanted ? acts.map(({ row }) => row) : null)}
    >
      <p className="line">
        {counted(sum.up, 'modifier')} up, {formatCount(sum.down)} down; the base bids of up to{' '}
        {counted(sum.targets, 'target')} go with them.
      </p>
      <p className="line">
        Expected a month:{' '}
        {Math.abs(sum.spend) < 10_000 ? 'spend stays' : `spend ${signed(sum.spend)} ${currency}`}, sales{' '}
        {signed(sum.sales)} {currency}.
      </p>
      <section className="moves two" aria-label="The largest">
        <ul>
          {acts.slice(0, LARGEST).map(({ row, act }) => (
            <li key={row}>
              <span className="name">{table.name[row]}</span>
              <span className="figure">
                {PLACEMENTS.map((placement, at) => {
                  const { from } = plan.rows[row].placements[at];
                  return from === act.to[at]
                    ? null
                    : `${placement} ${formatShare(from, 0)} → ${formatShare(act.to[at], 0)}`;
                })
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {acts.length > LARGEST && <p className="note">… and {formatCount(acts.length - LARGEST)} more.</p>}
      <p className="note">
        They go to the tray, the modifiers first; nothing is sent yet, and u takes them back.
      </p>
    </Ask>
  );
}

const LARGEST = 6;
const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
