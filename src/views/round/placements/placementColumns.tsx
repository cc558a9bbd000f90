import type { MeasureKey } from '../../../core/measures';
import { measure } from '../../../core/measures';
import { sumsAt } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { PLACEMENT_LABELS, PLACEMENTS } from '../../../core/structure';
import { DASH, formatMoney, formatShare } from '../../../core/units';
import { placementAct } from '../../../plans/placements';
import type { PlacementPlan } from '../../../plans/placements';
import type { Column } from '../../../table';
import { BidCell } from '../../shared/BidCell';
import { explain } from '../../shared/explain';
import { formatField } from '../../shared/formatValue';
import { decideColumn } from '../campaigns';
import { NameCell } from '../frame/NameCell';
import type { PlacementWork } from './usePlacementWork';

interface ColumnContext {
  work: PlacementWork;
  table: LensTable;
  plan: PlacementPlan;
  currency: string;
  isAside: boolean;
}

const HEADS = { top: 'Top', rest: 'Rest', pages: 'Pages' };
const FIGURES: readonly MeasureKey[] = ['spend', 'acos'];

/** Columns of the step of placements: a campaign a row, its modifiers now and proposed. */
export function placementColumns(context: ColumnContext): Column<number>[] {
  const { table, plan, currency, work } = context;
  return [
    {
      key: 'term',
      label: 'Campaign',
      width: 'minmax(150px, 1fr)',
      sortable: true,
      cell: (row) => <NameCell name={table.name[row]} place={table.place[row]} />,
    },
    ...FIGURES.map((key) => figure(key, context)),
    ...PLACEMENTS.map((placement, at) => ({
      key: placement,
      label: HEADS[placement],
      definition: `Modifier at ${PLACEMENT_LABELS[placement]}, now and proposed: by so much bids are raised there`,
      unit: '%',
      width: '64px',
      isFigure: true,
      cell: (row: number) => <Modifier row={row} placement={at} {...context} />,
    })),
    {
      key: 'bases',
      label: 'Base',
      definition: 'By how much base bids give way, so that the month’s spend stays',
      unit: '%',
      width: '46px',
      isFigure: true,
      cell: (row) => {
        const act = placementAct(plan.rows[row], work.decisions.edits.get(table.campaignId[row]));
        const share = act.bases - 1;
        return Math.abs(share) < 0.005 ? DASH : `${share < 0 ? '−' : '+'}${formatShare(Math.abs(share), 0)}`;
      },
    },
    {
      key: 'stake',
      label: 'To gain',
      definition: 'Sales of a month that the modifiers win for the same spend',
      unit: currency,
      width: '62px',
      isFigure: true,
      sortable: true,
      cell: (row) => {
        const { now, after } = placementAct(plan.rows[row], work.decisions.edits.get(table.campaignId[row]));
        return after === now ? DASH : formatMoney(after.sales - now.sales);
      },
    },
    decideColumn({
      work: work,
      table,
      isAside: context.isAside,
      isOpen: (row) => plan.rows[row].left === null || work.decisions.edits.has(table.campaignId[row]),
    }),
  ];
}

function figure(key: MeasureKey, { table, currency }: ColumnContext): Column<number> {
  const spec = measure(key);
  const { label, unit, of } = spec;
  return {
    key,
    label,
    unit: unit === 'money' ? currency : '',
    width: '58px',
    isFigure: true,
    sortable: true,
    definition: explain(spec, currency),
    cell: (row) => formatField(key, of(sumsAt(table.now, row))),
  };
}

/** Whole per cent, without the sign: the heading has it. */
const percent = (share: number) => String(Math.round(share * 100));

/** A modifier now and proposed; a click edits it in place. */
function Modifier({ row, placement, plan, table, work }: ColumnContext & { row: number; placement: number }) {
  const { decisions, editing, setEditing } = work;
  const campaign = plan.rows[row];
  const { from, isSettable } = campaign.placements[placement];
  const id = table.campaignId[row];
  const edit = decisions.edits.get(id);
  const to = placementAct(campaign, edit).to[placement];
  const isEdited = edit?.to[placement] != null;
  if (!isSettable)
    return <span className="faint">{campaign.left === 'not known' ? DASH : percent(from)}</span>;
  return (
    <span className="move">
      <span className="faint">{to === from ? '' : percent(from)}</span>
      <span className={to < from ? 'over' : to > from ? 'under' : 'faint'}>
        {to < from ? '↓' : to > from ? '↑' : ''}
      </span>
      <span className={isEdited ? 'moved edited' : to === from ? 'faint' : 'moved'}>
        <BidCell
          bid={to}
          step={1}
          isShare
          isEditing={editing?.row === row && editing.placement === placement}
          onEdit={() => setEditing({ row, placement })}
          onDone={(share) => {
            if (share !== null) decisions.edit(id, editWith(edit, placement, share));
            setEditing(null);
          }}
        />
      </span>
    </span>
  );
}

/** An edit with one placement more. */
export const editWith = (
  edit: { to: (number | null)[]; keepsBases: boolean } | undefined,
  placement: number,
  share: number | null,
) => ({
  to: PLACEMENTS.map((_, at) => (at === placement ? share : (edit?.to[at] ?? null))),
  keepsBases: edit?.keepsBases ?? false,
});
