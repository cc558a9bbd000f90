import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { sumsOfRow } from '../../../core/terms';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { Column } from '../../../table';
import { BidCell } from '../../shared/BidCell';
import { explain } from '../../shared/explain';
import { EvidenceMark } from '../../shared/evidence/marks';
import { DecideButtons } from '../frame/DecideButtons';
import { GAIN } from './ProposalForm';
import { nextReach, reachWords } from './reachWords';
import type { TermStepSpec } from './termSpec';
import type { TermDecisions } from './useTermWork';
import type { LoadedReview, Proposal } from '../../../plans/terms';
import { NameCell } from '../frame/NameCell';
import { placeName } from './placeName';
import { GRADE_MEANS, NO_ACOS } from '../../shared/words';

/** What a row's cells need. */
export interface RowView {
  row: number;
  proposal: Proposal | undefined;
}

interface ColumnContext {
  review: LoadedReview;
  spec: TermStepSpec;
  decisions: TermDecisions;
  acts: { onEditing: (row: number | null) => void; onAccept: (row: number) => void };
  /** Row whose bid is edited in place. */
  editing: number | null;
  isAside: boolean;
  /** What there is to know of a term beyond its figures. */
  marks: (row: number) => ReactNode;
}

/** Columns of a step: the measures that matter there, the proposal, the decision. */
export function columnsOf(context: ColumnContext): Column<RowView>[] {
  const { review, spec } = context;
  const { currency } = review.account;
  const isHarvest = spec.name === 'harvest';
  return [
    {
      key: 'grade',
      label: '',
      width: '20px',
      definition: GRADE_MEANS,
      cell: ({ row }) => <EvidenceMark grade={review.estimates.grade[row]} />,
    },
    {
      key: 'term',
      label: 'Search term',
      width: 'minmax(150px, 1fr)',
      sortable: true,
      cell: ({ row }) => (
        <NameCell name={review.table.term[row]} marks={context.marks(row)} place={placeName(row, review)} />
      ),
    },
    ...spec.figures.map((key) => figureColumn(key, context, currency)),
    ...(isHarvest ? [gainColumn(context)] : []),
    {
      key: 'proposal',
      label: isHarvest ? 'Bid' : 'Block',
      unit: isHarvest ? currency : '',
      width: isHarvest ? '66px' : '106px',
      isFigure: isHarvest,
      cell: (view) => <ProposalCell view={view} {...context} />,
    },
    { key: 'decide', label: '', width: '84px', cell: (view) => <Decide view={view} {...context} /> },
  ];
}

function gainColumn({ review, decisions }: ColumnContext): Column<RowView> {
  return {
    key: 'gain',
    label: 'Profit ±',
    unit: review.account.currency,
    width: '70px',
    isFigure: true,
    definition: `Expected change of profit a month. ${GAIN}`,
    cell: ({ proposal }) => {
      const shown = proposal && decisions.edited(proposal);
      if (shown?.step !== 'harvest' || shown.gain.profit === 0)
        return (
          <span className="faint" title={shown && 'Nothing changes, or the source’s bid is not known'}>
            {DASH}
          </span>
        );
      return `${shown.gain.profit > 0 ? '+' : ''}${formatMoney(shown.gain.profit)}`;
    },
  };
}

const WIDTHS: Partial<Record<MeasureKey, string>> = { sales: '66px', spend: '62px', acos: '56px' };

function figureColumn(key: MeasureKey, { review }: ColumnContext, currency: string): Column<RowView> {
  const spec = measure(key);
  const { label, unit, of } = spec;
  return {
    key,
    label,
    unit: unit === 'money' ? currency : '',
    width: WIDTHS[key] ?? '50px',
    isFigure: true,
    sortable: true,
    definition: explain(spec, currency),
    cell: ({ row }) => {
      const value = of(sumsOfRow(review.table, row));
      if (value === null) return <span title={key === 'acos' ? NO_ACOS : 'No clicks'}>{DASH}</span>;
      return unit === 'count'
        ? formatCount(value)
        : unit === 'money'
          ? formatMoney(value)
          : formatShare(value);
    },
  };
}

function ProposalCell({ view, decisions, acts, editing, review }: ColumnContext & { view: RowView }) {
  if (!view.proposal) return <span className="faint">{DASH}</span>;
  const proposal = decisions.edited(view.proposal);
  if (proposal.step === 'harvest')
    return (
      <BidCell
        bid={proposal.bid}
        step={review.account.limits.bidStep}
        isEditing={editing === view.row}
        onEdit={() => acts.onEditing(view.row)}
        onDone={(bid) => {
          if (bid !== null) decisions.edit(view.row, { bid });
          acts.onEditing(null);
        }}
      />
    );
  return (
    <ButtonBase
      className="editable cut"
      title="Ad group, campaign, wherever the product looks for terms, or a list of the campaign"
      onClick={() => decisions.edit(view.row, { reach: nextReach(proposal.reach, proposal.places) })}
    >
      {proposal.match}, {reachWords(proposal.reach, proposal.places, review.negativeLists)}
    </ButtonBase>
  );
}

function Decide({ view, decisions, acts, isAside, review }: ColumnContext & { view: RowView }) {
  const term = review.table.term[view.row];
  if (isAside)
    return (
      <Button variant="link" onClick={() => void decisions.takeBack([view.row])}>
        Take back
      </Button>
    );
  return (
    <DecideButtons
      name={term}
      onAccept={() => acts.onAccept(view.row)}
      onLeave={() => void decisions.leave([view.row])}
      onLater={() => void decisions.later([view.row])}
    />
  );
}
