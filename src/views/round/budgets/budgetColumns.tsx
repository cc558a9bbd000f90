import { BudgetBars } from '../../../charts';
import { budgetStepOf, usuallyDryFrom } from '../../../core/budgets';
import { largest } from '../../../core/order';
import { measure } from '../../../core/measures';
import { sumsAt } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { BudgetsPlan } from '../../../plans/budgets';
import type { Column } from '../../../table';
import { BidCell } from '../../shared/BidCell';
import { explain } from '../../shared/explain';
import { decideColumn } from '../campaigns';
import { NameCell } from '../frame/NameCell';
import type { BudgetWork } from './useBudgetWork';

interface ColumnContext {
  work: BudgetWork;
  table: LensTable;
  plan: BudgetsPlan;
  currency: string;
  isAside: boolean;
}

/** Columns of the step of budgets: a campaign a row. */
export function budgetColumns(context: ColumnContext): Column<number>[] {
  const { table, plan, currency } = context;
  const most = Math.max(
    1,
    largest(plan.rows.flatMap(({ from, to, need }) => (from === null ? [] : [from, to ?? 0, need]))),
  );
  const acos = measure('acos');
  const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
  return [
    {
      key: 'term',
      label: 'Campaign',
      width: 'minmax(120px, 1fr)',
      sortable: true,
      cell: (row) => <NameCell name={table.name[row]} place={table.place[row]} />,
    },
    {
      key: 'acos',
      label: acos.label,
      width: '54px',
      isFigure: true,
      sortable: true,
      definition: explain(acos, currency),
      cell: (row) => formatShare(acos.of(sumsAt(table.now, row))),
    },
    {
      key: 'dry',
      label: 'Ran dry',
      definition:
        'On how many of the last 28 days its money held it up, and from about which hour; even: its market spreads the money over the day',
      width: '70px',
      isFigure: true,
      cell: (row) => {
        const { dry, days } = plan.rows[row];
        if (days === 0) return <span className="faint">{DASH}</span>;
        const from = usuallyDryFrom(plan.rows[row]);
        return (
          <span>
            {formatCount(dry.length)}
            {dry.length > 0 && (
              <span className="faint"> · {from === null ? 'even' : `${Math.floor(from)} h`}</span>
            )}
          </span>
        );
      },
    },
    {
      key: 'missed',
      label: 'Missed',
      definition:
        'Sales that it missed in a month because its money held it up; ≥: more, but how much cannot be told',
      unit: currency,
      width: '60px',
      isFigure: true,
      cell: (row) => {
        const { missed, isLeast, perMonth } = plan.rows[row];
        return missed.sales > 0 ? `${isLeast ? '≥ ' : ''}${formatMoney(missed.sales * perMonth)}` : DASH;
      },
    },
    {
      key: 'bars',
      label: 'Before, after',
      definition:
        'Budget before (above) and after (below): filled as far as it is spent, the stroke is what it needs; widths go by the root',
      width: '96px',
      cell: (row) => {
        const { from, to, spend, demand, need } = plan.rows[row];
        if (from === null) return null;
        return (
          <BudgetBars
            from={from}
            to={to ?? from}
            spend={spend}
            demand={demand}
            need={need}
            most={most}
            onSet={to === null || !plan.isAsked ? undefined : (budget) => setByHand(context, row, budget)}
            words={`Budget ${formatMoney(from)}, proposed ${formatMoney(to)}; costs about ${formatMoney(spend)} a day, needs ${formatMoney(need)}`}
          />
        );
      },
    },
    {
      key: 'bid',
      label: 'Budget',
      definition:
        'The daily budget now and the proposed one; a click sets it by hand, and the others give way',
      unit: currency,
      width: '100px',
      isFigure: true,
      sortable: true,
      cell: (row) => <Move row={row} {...context} />,
    },
    {
      key: 'stake',
      label: 'To gain',
      definition: 'Sales of a month that the proposed budget adds, or gives up for others',
      unit: currency,
      width: '60px',
      isFigure: true,
      sortable: true,
      cell: (row) => {
        const { now, after } = plan.rows[row];
        return Math.abs(after.sales - now.sales) < 10_000 ? DASH : signed(after.sales - now.sales);
      },
    },
    decideColumn({
      work: context.work,
      table,
      isAside: context.isAside,
      isOpen: (row) => plan.rows[row].left === null,
    }),
  ];
}

/** Sets a budget by hand, on a step and within the market's limits: the others give way. */
function setByHand(
  { work, table }: Pick<ColumnContext, 'work' | 'table'>,
  row: number,
  budget: number,
): void {
  const { minBudget, maxBudget } = work.limits;
  const step = budgetStepOf(work.limits);
  const onStep = Math.round(budget / step) * step;
  work.decisions.edit(table.campaignId[row], Math.min(maxBudget, Math.max(minBudget, onStep)));
}

/** A budget now and proposed; a click sets it by hand. */
function Move({ row, plan, table, work }: ColumnContext & { row: number }) {
  const { from, to, isLocked } = plan.rows[row];
  const { editing, setEditing } = work;
  if (from === null || to === null)
    return <span className="faint">{from === null ? DASH : formatMoney(from)}</span>;
  return (
    <span className="move">
      <span className="faint">{to === from ? '' : formatMoney(from)}</span>
      <span className={to < from ? 'over' : to > from ? 'under' : 'faint'}>
        {to < from ? '↓' : to > from ? '↑' : ''}
      </span>
      <span className={isLocked ? 'moved edited' : to === from ? 'faint' : 'moved'}>
        <BidCell
          bid={to}
          step={budgetStepOf(work.limits)}
          isEditing={editing === row}
          onEdit={() => setEditing(row)}
          onDone={(budget) => {
            if (budget !== null) setByHand({ work, table }, row, budget);
            setEditing(null);
          }}
        />
      </span>
    </span>
  );
}
