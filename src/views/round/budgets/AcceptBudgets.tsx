import type { LensTable } from '../../../core/lenses';
import { counted, formatCount, formatMoney } from '../../../core/units';
import { isMoved } from '../../../plans/budgets';
import type { BudgetsPlan } from '../../../plans/budgets';
import { Ask } from '../../shared/kit';
import { ToTheTray } from '../frame/ToTheTray';

interface AcceptBudgetsProps {
  plan: BudgetsPlan;
  table: LensTable;
  rows: number[];
  currency: string;
  /** With the rows that are wanted; null: not now. */
  onDone: (rows: number[] | null) => void;
}

const LARGEST = 6;
const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;

/** What moving the money comes to, before it is done. */
export function AcceptBudgets({ plan, table, rows, currency, onDone }: AcceptBudgetsProps) {
  const moved = rows.filter((row) => isMoved(plan.rows[row]));
  const sum = (of: (row: number) => number) => moved.reduce((all, row) => all + of(row), 0);
  const move = (row: number) => plan.rows[row].to! - plan.rows[row].from!;
  const up = sum((row) => Math.max(0, move(row)));
  const down = sum((row) => Math.max(0, -move(row)));
  const sales = sum((row) => plan.rows[row].after.sales - plan.rows[row].now.sales);
  const spend = sum((row) => plan.rows[row].after.spend - plan.rows[row].now.spend);
  const largest = [...moved].sort((a, b) => Math.abs(move(b)) - Math.abs(move(a))).slice(0, LARGEST);
  return (
    <Ask
      title={`Move the money of ${counted(moved.length, 'campaign')}?`}
      does={`Accept ${formatCount(moved.length)}`}
      isOff={moved.length === 0}
      onDone={(isWanted) => onDone(isWanted ? moved : null)}
    >
      <p className="line">
        Raised by {formatMoney(up)} {currency} a day in all, lowered by {formatMoney(down)}: the total{' '}
        {Math.abs(up - down) < 10_000 ? 'stays to the cent' : `changes by ${signed(up - down)} ${currency}`}.
      </p>
      <p className="line">
        Expected a month, at present bids: spend {signed(spend)} {currency}, sales {signed(sales)} {currency}.
      </p>
      <section className="moves two" aria-label="The largest moves">
        <ul>
          {largest.map((row) => (
            <li key={row}>
              <span className="name">{table.name[row]}</span>
              <span className="figure">
                {formatMoney(plan.rows[row].from)} → {formatMoney(plan.rows[row].to)}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {moved.length > LARGEST && <p className="note">… and {formatCount(moved.length - LARGEST)} more.</p>}
      <ToTheTray />
    </Ask>
  );
}
