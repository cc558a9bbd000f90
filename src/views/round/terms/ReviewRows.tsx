import type { AccountInfo } from '../../../contract/api';
import type { StepName } from '../../../contract/review';
import { VirtualTable } from '../../../table';
import type { RowsState } from '../../shared/useRows';
import { columnsOf } from './columns';
import { NothingHere } from './NothingHere';
import { placeName } from './placeName';
import type { Decisions } from './useDecisions';
import type { RoundState } from '../useRoundState';
import type { Arranged, LoadedReview } from './worker/types';

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
        staged,
      })}
      count={shown.length}
      rowAt={(index) => ({ row: shown[index], proposal: arranged.proposals.get(shown[index]) })}
      keyAt={(index) => shown[index]}
      rowHeight={state.show === 'proposed' ? 46 : 42}
      detail={({ row, proposal }) => (
        <>
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
