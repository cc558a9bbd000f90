import Button from '@mui/material/Button';
import { useState } from 'react';
import { counted, formatCount, formatMoney, formatShare } from '../../../core/units';
import { Ask } from '../../shared/kit';
import type { BidAct } from '../../../plans/bids';
import { sumActs, summaryWords } from '../../../plans/bids';
import { NOTHING_CHANGES } from '../../shared/words';
import { ToTheTray } from '../frame/ToTheTray';

/** An act with what makes it worth a second look. */
export interface AskedAct extends BidAct {
  name: string;
  place: string;
  clicks: number;
  orders: number;
}

interface AcceptDialogProps {
  acts: AskedAct[];
  limits: { minBid: number; maxBid: number };
  currency: string;
  /** With the rows that are wanted; null: not now. */
  onDone: (rows: number[] | null) => void;
}

/** So many of the largest moves are named. */
const LARGEST = 6;
/** So many of those without an order are named; the rest are counted. */
const UNPROVEN = 40;

/** What accepting many proposals at once comes to, before it is done: the largest moves and those without an order can be taken out. */
export function AcceptDialog({ acts, limits, currency, onDone }: AcceptDialogProps) {
  const [out, setOut] = useState<ReadonlySet<number>>(new Set());
  const kept = acts.filter(({ row }) => !out.has(row));
  const summary = sumActs(kept, limits);
  const { does, brings } = summaryWords(summary, currency);
  const takeOut = (rows: number[], isOut: boolean) => {
    const next = new Set(out);
    for (const row of rows)
      if (isOut) next.add(row);
      else next.delete(row);
    setOut(next);
  };
  const largest = [...acts].sort((a, b) => moveOf(b) - moveOf(a)).slice(0, LARGEST);
  const orderless = acts
    .filter(({ orders, from, to, isPause }) => orders === 0 && !isPause && to > from)
    .sort((a, b) => b.after.spend - a.after.spend || moveOf(b) - moveOf(a));
  const parts = { out, takeOut };
  return (
    <Ask
      title={`Accept ${counted(summary.count, 'proposal')}?`}
      does={`Accept ${formatCount(summary.count)}`}
      isOff={summary.count === 0}
      maxWidth="md"
      onDone={(isWanted) => onDone(isWanted ? kept.map(({ row }) => row) : null)}
    >
      <p className="line">{does || NOTHING_CHANGES}.</p>
      {summary.count > 0 && <p className="line">Expected: {brings}.</p>}
      {acts.length > 1 && <Moves title="The largest moves" acts={largest} all={largest} {...parts} />}
      {orderless.length > 0 && (
        <Moves
          title={`Raised without an order: ${formatCount(orderless.length)}`}
          acts={orderless.slice(0, UNPROVEN)}
          all={orderless}
          {...parts}
        />
      )}
      <ToTheTray />
    </Ask>
  );
}

/** How far a bid moves, up and down alike. */
const moveOf = ({ from, to, isPause }: BidAct) =>
  isPause ? Infinity : from > 0 && to > 0 ? Math.abs(Math.log(to / from)) : 0;

interface MovesProps {
  title: string;
  /** Named ones, and all that the title counts. */
  acts: AskedAct[];
  all: AskedAct[];
  out: ReadonlySet<number>;
  takeOut: (rows: number[], isOut: boolean) => void;
}

function Moves({ title, acts, all, out, takeOut }: MovesProps) {
  const areAllOut = all.every(({ row }) => out.has(row));
  return (
    <section className="moves" aria-label={title}>
      <div className="spread">
        <strong>{title}</strong>
        <Button
          variant="link"
          onClick={() =>
            takeOut(
              all.map(({ row }) => row),
              !areAllOut,
            )
          }
        >
          {areAllOut ? 'Put all back' : 'Take all out'}
        </Button>
      </div>
      <ul>
        {acts.map((act) => (
          <li key={act.row} className={out.has(act.row) ? 'isOut' : undefined}>
            <span className="name" title={`${act.name} · ${act.place}`}>
              {act.name}
            </span>
            <span className="faint">
              {counted(act.clicks, 'click')}, {counted(act.orders, 'order')}
            </span>
            <span className="figure">
              {formatMoney(act.from)} → {act.isPause ? 'pause' : formatMoney(act.to)}
            </span>
            <span className="figure">{act.isPause ? '' : stepWords(act)}</span>
            <Button
              variant="link"
              aria-label={`${out.has(act.row) ? 'Put back' : 'Take out'} ${act.name}`}
              onClick={() => takeOut([act.row], !out.has(act.row))}
            >
              {out.has(act.row) ? 'Put back' : 'Take out'}
            </Button>
          </li>
        ))}
      </ul>
      {all.length > acts.length && (
        <p className="note">… and {formatCount(all.length - acts.length)} more.</p>
      )}
    </section>
  );
}

const stepWords = ({ from, to }: BidAct) =>
  from > 0 ? `${to < from ? '−' : '+'}${formatShare(Math.abs(to / from - 1), 0)}` : '';
