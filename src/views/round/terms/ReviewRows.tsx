import type { AccountInfo } from '../../../contract/api';
import type { StepName } from '../../../contract/review';
import { VirtualTable } from '../../../table';
import type { RowsState } from '../../shared/useRows';
import { columnsOf } from './columns';
import { NothingHere } from './NothingHere';
import { TERM_KINDS } from '../../../core/matching';
import { placeName } from './placeName';
import { rowKey } from '../../../plans/terms';
import type { Decisions } from './useDecisions';
import type { RoundState } from '../useRoundState';
import type { Arranged, LoadedReview } from '../../../plans/terms';

interface ReviewRowsProps {
  account: AccountInfo | undefined;
  review: LoadedReview;
  arranged: Arranged;
  state: RoundState;
  step: StepName;
  shown: Int32Array;
  rows: RowsState;
  decisions: Decisions;
  /** Rows that are staged or under way. */
  staged: ReadonlySet<string>;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onAccept: (row: number) => void;
}

/** The rows of a step: a search term each, with its proposal and the reason below. */
export function ReviewRows(props: ReviewRowsProps) {
  const {
    account,
    review,
    arranged,
    state,
    step,
    shown,
    rows,
    decisions,
    staged,
    editing,
    onEditing,
    onAccept,
  } = props;
  return (
    <VirtualTable
      label="Search terms"
      columns={columnsOf({
        review,
        step,
        decisions,
        editing,
        onEditing,
        onAccept,
        isAside: state.show === 'aside',
      })}
      count={shown.length}
      rowAt={(index) => ({ row: shown[index], proposal: arranged.proposals.get(shown[index]) })}
      keyAt={(index) => shown[index]}
      rowHeight={state.show === 'proposed' ? 46 : 42}
      detail={({ row, proposal }) => (
        <>
          <Marks row={row} step={step} review={review} staged={staged} />
          {placeName(row, review)}
          {proposal && <span title={proposal.reason}> — {proposal.reason}</span>}
        </>
      )}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(shown[index])}
      onSelect={rows.select}
      sorts={state.sort ? [state.sort] : []}
      onSort={(key) => state.setSort(nextSort(state.sort, key))}
      empty={<NothingHere state={state} account={account} hasData={review.table.size > 0} />}
    />
  );
}

function nextSort(sort: RoundState['sort'], key: string): RoundState['sort'] {
  const by = key as NonNullable<RoundState['sort']>['by'];
  if (sort?.by !== by) return { by, descending: key !== 'term' };
  return sort.descending === (key !== 'term') ? { by, descending: !sort.descending } : null;
}

/** What there is to know of a term beyond its figures: that it waits in the tray, what sort it is, that it is new. */
function Marks({
  row,
  step,
  review,
  staged,
}: { row: number } & Pick<ReviewRowsProps, 'step' | 'review' | 'staged'>) {
  const { table, kinds, isNew } = review;
  const kind = TERM_KINDS[kinds[row]];
  const isStaged = staged.has(rowKey(step, table.adGroupId[row], table.termId[row]));
  return (
    <>
      {isStaged && <strong className="under">in the tray · </strong>}
      {kind !== 'words' && <strong>{kind} · </strong>}
      {isNew[row] === 1 && <strong title="First seen in this window">new · </strong>}
    </>
  );
}
