import Check from '@mui/icons-material/Check';
import Close from '@mui/icons-material/Close';
import Schedule from '@mui/icons-material/Schedule';
import IconButton from '@mui/material/IconButton';
import { measure } from '../../core/measures';
import type { MeasureKey } from '../../core/measures';
import { sumsOfRow } from '../../core/terms';
import { DASH, formatCount, formatMoney, formatShare } from '../../core/units';
import type { Column } from '../../table';
import type { StepName } from '../../contract/api';
import { BidCell } from '../shared/BidCell';
import type { Decisions } from './useDecisions';
import type { LoadedReview, Proposal } from './worker/types';

/** What a row's cells need. */
export interface RowView {
  row: number;
  proposal: Proposal | undefined;
}

interface ColumnContext {
  review: LoadedReview;
  step: StepName;
  decisions: Decisions;
  /** Row whose bid is edited in place. */
  editing: number | null;
  onEditing: (row: number | null) => void;
  onAccept: (row: number) => void;
  isAside: boolean;
}

const GRADES = [
  { mark: '○', words: 'thin evidence' },
  { mark: '◐', words: 'fair evidence' },
  { mark: '●', words: 'strong evidence' },
];

/** Columns of a step: the measures that matter there, the proposal, the decision. */
export function columnsOf(context: ColumnContext): Column<RowView>[] {
  const { review, step } = context;
  const { currency } = review.account;
  const figures: MeasureKey[] =
    step === 'harvest'
      ? ['clicks', 'orders', 'sales', 'acos', 'cpc']
      : ['clicks', 'orders', 'spend', 'acos', 'cpc'];
  return [
    {
      key: 'grade',
      label: '',
      width: '14px',
      definition: 'How sure the estimate is: ○ thin, ◐ fair, ● strong',
      cell: ({ row }) => <Grade grade={review.estimates.grade[row]} />,
    },
    {
      key: 'term',
      label: 'Search term',
      width: 'minmax(150px, 1fr)',
      sortable: true,
      cell: ({ row }) => (
        <span title={review.table.term[row]} style={{ fontWeight: 600 }}>
          {review.table.term[row]}
        </span>
      ),
    },
    ...figures.map((key) => figureColumn(key, context, currency)),
    {
      key: 'proposal',
      label: step === 'harvest' ? 'Bid' : 'Block',
      unit: step === 'harvest' ? currency : '',
      width: step === 'harvest' ? '66px' : '106px',
      isFigure: step === 'harvest',
      cell: (view) => <ProposalCell view={view} {...context} />,
    },
    { key: 'decide', label: '', width: '84px', cell: (view) => <Decide view={view} {...context} /> },
  ];
}

const WIDTHS: Partial<Record<MeasureKey, string>> = { sales: '66px', spend: '62px', acos: '56px' };

function figureColumn(key: MeasureKey, { review }: ColumnContext, currency: string): Column<RowView> {
  const { label, unit, definition, of } = measure(key);
  return {
    key,
    label,
    unit: unit === 'money' ? currency : '',
    width: WIDTHS[key] ?? '50px',
    isFigure: true,
    sortable: true,
    definition,
    cell: ({ row }) => {
      const value = of(sumsOfRow(review.table, row));
      if (value === null)
        return <span title={key === 'acos' ? 'No sales, so no ACOS' : 'No clicks'}>{DASH}</span>;
      return unit === 'count'
        ? formatCount(value)
        : unit === 'money'
          ? formatMoney(value)
          : formatShare(value);
    },
  };
}

function Grade({ grade }: { grade: number }) {
  const { mark, words } = GRADES[grade];
  return (
    <span role="img" title={words} aria-label={words}>
      {mark}
    </span>
  );
}

function ProposalCell({ view, decisions, editing, onEditing, step }: ColumnContext & { view: RowView }) {
  if (!view.proposal) return <span className="faint">{DASH}</span>;
  const proposal = decisions.edited(view.proposal);
  if (proposal.step === 'harvest')
    return (
      <BidCell
        bid={proposal.bid}
        isEditing={editing === view.row}
        onEdit={() => onEditing(view.row)}
        onDone={(bid) => {
          if (bid !== null) decisions.edit(view.row, { bid });
          onEditing(null);
        }}
      />
    );
  return (
    <button
      type="button"
      className="cut"
      style={{ all: 'unset', cursor: 'pointer' }}
      title="Change between ad group and campaign"
      onClick={() => decisions.edit(view.row, { inCampaign: !proposal.inCampaign })}
      data-step={step}
    >
      {proposal.match}, {proposal.inCampaign ? 'campaign' : 'ad group'}
    </button>
  );
}

function Decide({ view, decisions, onAccept, isAside, review }: ColumnContext & { view: RowView }) {
  const term = review.table.term[view.row];
  if (isAside)
    return (
      <button type="button" onClick={() => void decisions.takeBack([view.row])}>
        Take back
      </button>
    );
  const actions = [
    { label: 'Accept', key: 'space', icon: <Check fontSize="inherit" />, act: () => onAccept(view.row) },
    {
      label: 'Leave',
      key: 'x',
      icon: <Close fontSize="inherit" />,
      act: () => void decisions.leave([view.row]),
    },
    {
      label: 'Later',
      key: 'l',
      icon: <Schedule fontSize="inherit" />,
      act: () => void decisions.later([view.row]),
    },
  ];
  return actions.map(({ label, key, icon, act }) => (
    <IconButton
      key={label}
      aria-label={`${label}: ${term}`}
      title={`${label} (${key})`}
      onClick={act}
      sx={{ fontSize: 17, padding: '4px' }}
    >
      {icon}
    </IconButton>
  ));
}
