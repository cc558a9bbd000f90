import { useCallback, useMemo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { TERM_KINDS } from '../../../core/matching';
import { rowKey } from '../../../plans/terms';
import type { Arranged, LoadedReview } from '../../../plans/terms';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import { useSteady } from '../../shared/useSteady';
import { formatDay } from '../../../core/units';
import { NoRows } from '../frame/NoRows';
import { StepRows } from '../frame/StepRows';
import type { RoundState } from '../useRoundState';
import type { StepRowsState } from '../useStepRows';
import { columnsOf } from './columns';
import type { RowView } from './columns';
import type { TermStepSpec } from './termSpec';
import type { TermDecisions } from './useTermWork';
import { NO_TERMS } from '../../shared/words';

interface ReviewRowsProps {
  account: AccountInfo | undefined;
  review: LoadedReview;
  arranged: Arranged;
  state: RoundState;
  spec: TermStepSpec;
  view: StepRowsState;
  decisions: TermDecisions;
  /** Rows that are staged or under way. */
  staged: ReadonlySet<string>;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onAccept: (row: number) => void;
}

/** The rows of a step: a search term each, with its proposal and the reason below. */
export function ReviewRows(props: ReviewRowsProps) {
  const { account, review, arranged, state, spec, view, decisions, staged, editing, onEditing, onAccept } =
    props;
  const isAside = state.show === 'aside';
  const acts = useSteady({ onEditing, onAccept });
  const columns = useMemo(
    () =>
      columnsOf({
        review,
        spec,
        decisions,
        acts,
        editing,
        isAside,
        marks: (row) => <Marks row={row} spec={spec} review={review} staged={staged} />,
      }),
    [review, spec, decisions, acts, editing, isAside, staged],
  );
  const { proposals } = arranged;
  const rowAt = useCallback((row: number) => ({ row, proposal: proposals.get(row) }), [proposals]);
  return (
    <StepRows<RowView>
      label="Search terms"
      state={state}
      view={view}
      columns={columns}
      rowAt={rowAt}
      detail={reasonOf}
      empty={
        <NoRows
          state={state}
          row="row"
          rows="terms"
          lacking={review.table.size > 0 ? null : <NoTerms account={account} />}
          loosen="Nothing is left at these thresholds; loosen them above."
        />
      }
    />
  );
}

const reasonOf = ({ proposal }: RowView) => (
  <>{proposal && <span title={proposal.reason}>{proposal.reason}</span>}</>
);

function NoTerms({ account }: { account: AccountInfo | undefined }) {
  if (account?.firstDay && account.lastDay)
    return (
      <Empty
        why={`There are figures from ${formatDay(account.firstDay)} to ${formatDay(account.lastDay)}.`}
        next={<span>Choose another window (w).</span>}
      >
        There are no search terms in this window.
      </Empty>
    );
  return (
    <Empty
      why="Terms to harvest and to block come from the search-term report."
      next={<PlaceLink href={pageLink('setup', account?.id)}>Import a search-term report</PlaceLink>}
    >
      {NO_TERMS}
    </Empty>
  );
}

/** What there is to know of a term beyond its figures: that it waits in the tray, what sort it is, that it is new. */
function Marks({
  row,
  spec,
  review,
  staged,
}: { row: number } & Pick<ReviewRowsProps, 'spec' | 'review' | 'staged'>) {
  const { table, kinds, isNew } = review;
  const kind = TERM_KINDS[kinds[row]];
  const isStaged = staged.has(rowKey(spec.name, table.adGroupId[row], table.termId[row]));
  return (
    <>
      {isStaged && <span className="under">in the tray </span>}
      {kind !== 'words' && <span className="small">{kind} </span>}
      {isNew[row] === 1 && (
        <span className="small" title="First seen in this window">
          new{' '}
        </span>
      )}
    </>
  );
}
