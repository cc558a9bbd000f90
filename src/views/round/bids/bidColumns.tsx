import { BID_STEPS, monthNow, proposalAt, stakeOf, testAt } from '../../../core/bids';
import type { PlanColumns, TestWorth } from '../../../core/bids';
import { numberField } from '../../../core/conditions';
import type { PlanKey } from '../../../core/conditions';
import { sumsAt } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { DASH, formatMoney, formatOnStep, formatShare } from '../../../core/units';
import type { Column } from '../../../table';
import { BidCell } from '../../shared/BidCell';
import { explain } from '../../shared/explain';
import { EvidenceMark } from '../../shared/evidence/marks';
import { formatField } from '../../shared/formatValue';
import { DecideCell } from '../frame/DecideCell';
import { actOf, planNumber } from '../../../plans/bids';
import type { BidStepSpec } from './bidSpec';
import type { BidDecisions } from './useBidWork';
import { NameCell } from '../frame/NameCell';
import { GRADE_MEANS } from '../../shared/words';

interface ColumnContext {
  spec: BidStepSpec;
  /** Columns of the plan beside the usual ones. */
  more: readonly PlanKey[];
  /** Of the market's bids, micros. */
  step: number;
  currency: string;
  table: LensTable;
  plan: PlanColumns;
  decisions: BidDecisions;
  acts: { onEditing: (row: number | null) => void; onAccept: (row: number) => void };
  /** Row whose bid is edited in place. */
  editing: number | null;
  isAside: boolean;
  isTesting: boolean;
}

const WIDTHS: Partial<Record<MeasureKey, string>> = { sales: '60px', spend: '56px', acos: '54px' };

/** Of a test there is little more to tell. */
const TEST_FIGURES: readonly MeasureKey[] = ['clicks', 'orders'];

/** Columns of a step that tunes bids. */
export function bidColumns(context: ColumnContext): Column<number>[] {
  const { spec, more, currency, table, plan, isTesting } = context;
  // What the bid is sorted by: what has no column of its own yet.
  const moveKey = (['plan.step', 'plan.to'] as const).find((key) => !more.includes(key)) ?? 'move';
  return [
    {
      key: 'grade',
      label: '',
      width: '22px',
      definition: GRADE_MEANS,
      cell: (row) => <EvidenceMark grade={plan.grade[row]} />,
    },
    {
      key: 'term',
      label: 'Target name',
      width: 'minmax(120px, 1fr)',
      sortable: true,
      cell: (row) => (
        <NameCell
          name={table.name[row]}
          marks={table.kind[row] !== table.name[row] && <span className="faint">{table.kind[row]} </span>}
          place={table.place[row]}
        />
      ),
    },
    ...(isTesting ? TEST_FIGURES : spec.figures).map((key) => figure(key, context)),
    ...(isTesting ? testColumns(context) : [stakeColumn(context)]),
    ...more.map((key) => planColumn(key, context)),
    {
      key: moveKey,
      label: 'Bid',
      definition: 'The present bid and the proposed one; sorted by the step between them',
      unit: currency,
      width: '104px',
      isFigure: true,
      sortable: moveKey !== 'move',
      cell: (row) => <Move row={row} {...context} />,
    },
    {
      key: 'decide',
      label: '',
      width: '80px',
      cell: (row) => (
        <DecideCell
          id={table.targetId[row]}
          name={table.name[row]}
          decisions={context.decisions}
          isAside={context.isAside}
          isOpen={monthNow(plan, row).clicks > 0 || plan.from[row] > 0}
          onAccept={() => context.acts.onAccept(row)}
        />
      ),
    },
  ];
}

/** What is at stake in a row. */
function stakeColumn({ spec, currency, table, plan }: ColumnContext): Column<number> {
  return {
    key: 'stake',
    label: spec.stake.label,
    definition: spec.stake.definition,
    unit: currency,
    width: '62px',
    isFigure: true,
    sortable: true,
    cell: (row) => {
      const { now, after } = proposalAt(plan, row);
      const own = BID_STEPS[plan.step[row]];
      return own === 'none' ? DASH : formatMoney(stakeOf(own, now, after, table.targetAcos[row]));
    },
  };
}

/** What a test may bring, how likely that is, and what it costs. */
function testColumns({ currency, plan }: ColumnContext): Column<number>[] {
  const column = (label: string, definition: string, unit: string, text: (test: TestWorth) => string) => ({
    key: label,
    label,
    definition,
    unit,
    width: '58px',
    isFigure: true,
    cell: (row: number) => {
      const test = testAt(plan, row);
      return test ? text(test) : DASH;
    },
  });
  return [
    column('If good', 'What a month earns above the target ACOS if it proves good', currency, ({ gain }) =>
      formatMoney(gain),
    ),
    column('Chance', 'Chance that it reaches the conversion it needs at the raised bid', '', ({ chance }) =>
      formatShare(chance, 0),
    ),
    column('Costs', 'What it costs more a month at most: every click at the full bid', currency, ({ cost }) =>
      formatMoney(cost),
    ),
  ];
}

function planColumn(key: PlanKey, { currency, plan, table }: ColumnContext): Column<number> {
  const { label, definition, unit } = numberField(key);
  const read = planNumber(key, plan, table);
  return {
    key,
    sortable: true,
    label,
    definition,
    unit: unit === 'money' ? currency : '',
    width: '64px',
    isFigure: true,
    cell: (row) => formatField(key, read(row)),
  };
}

function figure(key: MeasureKey, { table, currency }: ColumnContext): Column<number> {
  const spec = measure(key);
  const { label, unit, of } = spec;
  return {
    key,
    label,
    unit: unit === 'money' ? currency : '',
    width: WIDTHS[key] ?? '44px',
    isFigure: true,
    sortable: true,
    definition: explain(spec, currency),
    cell: (row) => formatField(key, of(sumsAt(table.now, row))),
  };
}

/** The bid now, what it becomes, and by how much; a click edits it in place. */
function Move({ row, plan, table, decisions, acts, step, editing }: ColumnContext & { row: number }) {
  const act = actOf(plan, table, decisions.edits, row);
  const id = table.targetId[row];
  if (act.from === 0) return <span className="faint">{DASH}</span>;
  if (act.isPause)
    return (
      <span>
        <span className="faint">{formatMoney(act.from)} →</span> <strong>pause</strong>
      </span>
    );
  const isEdited = decisions.edits.has(id);
  const share = act.to / act.from - 1;
  return (
    <span className="move">
      <span className="faint">{formatOnStep(act.from, step)}</span>
      <span className={act.to < act.from ? 'over' : act.to > act.from ? 'under' : 'faint'}>
        {act.to < act.from ? '↓' : act.to > act.from ? '↑' : '='}
      </span>
      <span
        className={isEdited ? 'moved edited' : 'moved'}
        title={`${share < 0 ? '−' : '+'}${formatShare(Math.abs(share), 0)}${isEdited ? ', edited by hand' : ''}`}
      >
        <BidCell
          bid={act.to}
          step={step}
          isEditing={editing === row}
          onEdit={() => acts.onEditing(row)}
          onDone={(bid) => {
            if (bid !== null) decisions.edit(id, { kind: 'bid', to: bid });
            acts.onEditing(null);
          }}
        />
      </span>
    </span>
  );
}
