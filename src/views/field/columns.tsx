import { measure } from '../../core/measures';
import { DASH, formatCount, formatMoney, formatShare } from '../../core/units';
import type { Column } from '../../table/VirtualTable';
import { BidCell } from '../shared/BidCell';
import type { TargetRow } from './targetRows';

/** What a row of the table is: a target, and where it stands. */
export interface FieldRow {
  row: TargetRow;
  index: number;
}

interface ColumnsOf {
  /** Bids in the tray, by target. */
  staged: ReadonlyMap<number, number>;
  editing: number | null;
  onEditing: (index: number | null) => void;
  onBid: (index: number, bid: number) => void;
}

/** Columns of the field's rows. */
export function fieldColumns({ staged, editing, onEditing, onBid }: ColumnsOf): Column<FieldRow>[] {
  const figure = (
    key: 'impressions' | 'clicks' | 'cpc' | 'spend' | 'orders' | 'sales' | 'acos',
    width: string,
  ): Column<FieldRow> => {
    const { label, definition, unit, decimals, of } = measure(key);
    const show = (value: number | null) =>
      value === null
        ? DASH
        : unit === 'money'
          ? formatMoney(value)
          : unit === 'share'
            ? formatShare(value, decimals)
            : formatCount(value);
    return {
      key,
      label,
      width,
      definition,
      isFigure: true,
      sortable: true,
      cell: ({ row }) => show(of(row.sums)),
    };
  };
  return [
    {
      key: 'target',
      label: 'Target',
      width: 'minmax(150px, 1.1fr)',
      sortable: true,
      cell: ({ row }) => (
        <span title={row.expression}>
          <strong style={{ fontWeight: 600 }}>{row.expression}</strong>{' '}
          <span className="faint">
            {row.kind}
            {row.state === 'enabled' ? '' : `, ${row.state}`}
          </span>
        </span>
      ),
    },
    {
      key: 'place',
      label: 'Campaign › ad group',
      width: 'minmax(120px, 0.9fr)',
      sortable: true,
      cell: ({ row }) => (
        <span className="faint" title={`${row.campaign} › ${row.adGroup}`}>
          {row.campaign} › {row.adGroup}
        </span>
      ),
    },
    {
      key: 'bid',
      label: 'Bid',
      width: '104px',
      isFigure: true,
      sortable: true,
      definition: 'What is bid for a click; with an arrow what is staged in the tray.',
      cell: ({ row, index }) => (
        <Bid
          row={row}
          to={staged.get(row.id)}
          isEditing={editing === index}
          onEdit={() => onEditing(index)}
          onDone={(bid) => {
            onEditing(null);
            if (bid !== null) onBid(index, bid);
          }}
        />
      ),
    },
    figure('impressions', '82px'),
    figure('clicks', '56px'),
    figure('cpc', '54px'),
    figure('spend', '76px'),
    {
      key: 'moved',
      label: 'Spend ±',
      width: '76px',
      isFigure: true,
      sortable: true,
      definition: 'Spend less spend of the window before, of the same length.',
      cell: ({ row }) => signed(row.sums.spend - row.spendBefore),
    },
    figure('orders', '56px'),
    figure('sales', '84px'),
    figure('acos', '64px'),
  ];
}

export function signed(micros: number): string {
  if (micros === 0) return '0.00';
  return `${micros > 0 ? '+' : '−'}${formatMoney(Math.abs(micros))}`;
}

interface BidProps {
  row: TargetRow;
  to: number | undefined;
  isEditing: boolean;
  onEdit: () => void;
  onDone: (bid: number | null) => void;
}

function Bid({ row, to, isEditing, onEdit, onDone }: BidProps) {
  if (row.bid === null && to === undefined && !isEditing)
    return (
      <span className="faint" title="The ad group’s default bid counts; e gives the target a bid of its own">
        default
      </span>
    );
  return (
    <>
      {to !== undefined && !isEditing && (
        <span className="faint">{row.bid === null ? 'default' : formatMoney(row.bid)} → </span>
      )}
      <BidCell bid={to ?? row.bid ?? 0} isEditing={isEditing} onEdit={onEdit} onDone={onDone} />
    </>
  );
}
