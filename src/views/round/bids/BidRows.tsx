import { useCallback, useMemo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { targetSubject } from '../../../contract/aside';
import type { Aside } from '../../../contract/aside';
import type { PlanColumns } from '../../../core/bids';
import type { PlanKey } from '../../../core/conditions';
import type { LensTable } from '../../../core/lenses';
import { formatDay } from '../../../core/units';
import { reasonOf } from '../../../plans/bids';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import { useSteady } from '../../shared/useSteady';
import type { AsideMore } from '../decisions/decisionStore';
import { NoRows } from '../frame/NoRows';
import { StepRows } from '../frame/StepRows';
import type { RoundState } from '../useRoundState';
import { bidColumns } from './bidColumns';
import type { BidStepSpec } from './bidSpec';
import type { BidWork } from './useBidWork';

interface BidRowsProps {
  account: AccountInfo;
  state: RoundState;
  work: BidWork;
  spec: BidStepSpec;
  /** Columns of the plan beside the usual ones. */
  more: readonly PlanKey[];
  table: LensTable;
  plan: PlanColumns;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onAccept: (row: number) => void;
}

/** The targets of a step: what is proposed for each, and below it where it lives and why. */
export function BidRows(props: BidRowsProps) {
  const { account, state, work, spec, more, table, plan, editing, onEditing, onAccept } = props;
  const { decisions } = work;
  const { aside } = decisions;
  const { currency } = account;
  const { bidStep } = work.settings.limits;
  const acts = useSteady({ onEditing, onAccept });
  const columns = useMemo(
    () =>
      bidColumns({
        spec,
        more,
        currency,
        table,
        plan,
        decisions,
        acts,
        step: bidStep,
        editing,
        isAside: state.show === 'aside',
        isTesting: state.show === 'testing',
      }),
    [spec, more, currency, table, plan, decisions, acts, bidStep, editing, state.show],
  );
  const detail = useCallback(
    (row: number) => {
      const own = aside.get(targetSubject(table.targetId[row]));
      const why = own ? asideWords(own) : reasonOf(plan, table, row);
      return <span title={why}>{why}</span>;
    },
    [aside, plan, table],
  );
  return (
    <StepRows<number>
      label="Targets"
      state={state}
      view={work.view}
      columns={columns}
      rowAt={asItIs}
      detail={detail}
      empty={
        <NoRows
          state={state}
          row="target"
          rows="targets"
          lacking={lackingOf(account, table)}
          loosen="Nothing is left at this pace."
        />
      }
    />
  );
}

const asItIs = (row: number) => row;

const asideWords = ({ verdict, until, note }: AsideMore & Pick<Aside, 'verdict'>) =>
  `${ASIDE_WORDS[verdict]}${until ? ` until ${formatDay(until)}` : ''}${note ? `: ${note}` : ''}`;

const ASIDE_WORDS = { left: 'Left as it is', later: 'Put off', 'accepted-loss': 'Loss accepted' };

/** What is missing before bids can be tuned at all; null when nothing is. */
function lackingOf({ id }: AccountInfo, table: LensTable) {
  const setup = (words: string) => <PlaceLink href={pageLink('setup', id)}>{words}</PlaceLink>;
  if (table.size === 0)
    return (
      <Empty
        why="Bids are tuned on targets: keywords, items and automatic groups."
        next={setup('Sync the account, or import its campaigns and targets')}
      >
        The account has no targets yet.
      </Empty>
    );
  if (table.value.every((bid) => Number.isNaN(bid)))
    return (
      <Empty
        why="Search-term reports hold no bids."
        next={setup('Import a list of targets with their bids, or connect the account')}
      >
        No bid of the account is known.
      </Empty>
    );
  return null;
}
